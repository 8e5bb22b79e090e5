# Programs that serve, kept running: one that dies is started again and named; one that dies too often ends the whole with a word.
# keep NAME COMMAND... starts a program; keep_patiently NAME COMMAND... one that may die as often as it likes, since nobody waits for it
# and a database that is away for an hour would take it along each time; supervise CHECK... watches them all, and calls CHECK in between,
# until asked to stop.
most_deaths=${MOST_DEATHS:-5}
deaths_window_seconds=60
patience_seconds=3
declare -A program_pid=() program_command=() program_deaths=() program_pause=()
program_names=()

keep() {
  local name=$1; shift
  program_names+=("$name")
  program_command[$name]=$(printf '%q ' "$@")
  run_program "$name"
}

keep_patiently() {
  keep "$@"
  program_pause[$1]=$patience_seconds
}

run_program() {
  eval "(sleep ${program_pause[$1]:-0}; exec ${program_command[$1]}) 9>&- &"
  program_pid[$1]=$!
}

# Times of the deaths within the window, this one included; more than allowed is no accident.
dies_too_often() {
  local name=$1 now kept=() one
  printf -v now '%(%s)T' -1
  for one in ${program_deaths[$name]:-}; do [ $((now - one)) -ge "$deaths_window_seconds" ] || kept+=("$one"); done
  kept+=("$now")
  program_deaths[$name]="${kept[*]}"
  [ "${#kept[@]}" -gt "$most_deaths" ]
}

# note_death NAME: says it, and ends the whole when it happens too often.
note_death() {
  say "$1 died: it is started again"
  [ -n "${program_pause[$1]:-}" ] || ! dies_too_often "$1" || stop_with "$1 died more than $most_deaths times within $deaths_window_seconds s, so all is stopped; its words are above and in ${state:-var}/log"
}

supervise() {
  local name
  while :; do
    for name in "${program_names[@]}"; do
      kill -0 "${program_pid[$name]}" 2>/dev/null && continue
      note_death "$name"
      run_program "$name"
    done
    "$@"
    sleep 0.5 9>&- &
    wait $! || true
  done
}

# A program that is only just starting can miss the signal: told until all are gone, after ten seconds by force.
stop_programs() {
  local tenths
  [ "${#program_names[@]}" -gt 0 ] || return 0
  for tenths in $(seq 0 100); do
    [ $((tenths % 20)) -ne 0 ] || kill -TERM "${program_pid[@]}" 2>/dev/null || break
    kill -0 "${program_pid[@]}" 2>/dev/null || break
    sleep 0.1
  done
  kill -KILL "${program_pid[@]}" 2>/dev/null || true
}

# What a start runs carries its folder in its environment: a start that was killed leaves programs behind, and the next one of the same folder
# finds them by it, whatever became of their numbers.
mark_as_ours() { export WATTOMNEUM_STATE=$state; }

left_behind() {
  local environment pid
  while read -r environment; do
    pid=${environment#/proc/}
    pid=${pid%/environ}
    [ "$pid" = $$ ] || printf '%s\n' "$pid"
  done < <(env -u WATTOMNEUM_STATE grep -lzxF "WATTOMNEUM_STATE=$state" /proc/[0-9]*/environ 2>/dev/null)
}

# One start for a folder. What a killed one was just doing may hold its lock yet: that is stopped, a start that runs is not.
take_turn() {
  mark_as_ours
  if ! flock -n 9; then
    start_runs && stop_with "bin/start is running already for $state: stop it first"
    stop_left_behind
    flock -w 10 9 || stop_with "something holds $state/start.lock: stop it first"
  fi
  printf '%s' $$ >"$state/start.pid"
}

start_runs() {
  local pid
  pid=$(cat "$state/start.pid" 2>/dev/null) || return 1
  [ "$pid" != $$ ] && grep -qa 'bin/start' "/proc/$pid/cmdline" 2>/dev/null
}

# Asked to end first, those that do not within five seconds made to.
stop_left_behind() {
  local tenths pids
  for tenths in $(seq 0 50); do
    mapfile -t pids < <(left_behind)
    [ "${#pids[@]}" -gt 0 ] || return 0
    [ "$tenths" -ne 0 ] || kill -TERM "${pids[@]}" 2>/dev/null || true
    sleep 0.1
  done
  kill -KILL "${pids[@]}" 2>/dev/null || true
}
