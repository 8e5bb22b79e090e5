# frozen_string_literal: true

module Demo
  # One unit's past as rows: battery checks through two winters, and its job of this autumn, all measured on a simulated unit.
  class History
    DAY = 86_400
    CHECKS_DAYS_AGO = [700, 520, 335, 160, 40].freeze
    CHECKS = %w[rest_voltage battery_test].freeze
    CRANK_CHECK_DAYS_AGO = 12
    # Of the drop in cables and grounds together.
    GROUND_SHARE = 0.4
    # Units that are not looked into in detail were checked less often.
    SISTER_CHECKS = 3
    # What a well kept battery still gives of its rating after two winters.
    END_HEALTH = 0.9
    CORE = Wattomneum

    # @param unit [Server::Models::Unit]
    # @param batteries [Hash{String => Server::Models::Battery}] by position
    # @param story [Hash] of fleet.yml
    # @param people [Hash{String => Server::Models::Account}] by role
    # @param hidden [CORE::Practice::Winter::Unit, nil] what it is on a cold morning; nil where nothing cranks it
    # @param seed [Integer]
    # @param now [Time]
    def initialize(unit:, batteries:, story:, people:, hidden:, seed:, now:)
      @unit = unit
      @batteries = batteries
      @story = story
      @people = people
      @hidden = hidden
      @random = Random.new(seed)
      @now = now
      @system = unit.core_system(batteries.transform_values(&:to_core))
      @whole = Server::Queries::UnitCircuits.new(unit.id).whole if @system.battery?
    end

    def write
      checks = @story['sister'] ? CHECKS_DAYS_AGO.last(SISTER_CHECKS) : CHECKS_DAYS_AGO
      checks.each { |days| battery_check(days) } if @system.battery?
      work_on_job if @story['complaint']
      crank_check if @hidden && starts? && !@story['never_cranked']
      Server::Models::BatteryState.work_out(@batteries.values.map(&:id))
    end

    private

    def electrician = @people.fetch('electrician')

    def uuid
      Random.new(@random.rand(2**62)).bytes(16).unpack1('H*').then do |hex|
        "#{hex[0, 8]}-#{hex[8, 4]}-4#{hex[13, 3]}-8#{hex[17, 3]}-#{hex[20, 12]}"
      end
    end

    # What fails to start, or is thought to, was not cranked for a test.
    def starts? = @story['work'] != 'starting' || @story['state'] == 'closed'

    # The round before the winter: posts at rest and while it cranks, both drops, how it turns, as instruments show what it is in the cold.
    def crank_check
      seen = @hidden.seen(9 + (@random.rand * 5))
      time = @now - (CRANK_CHECK_DAYS_AGO * DAY) - @random.rand(20_000)
      said = { 'battery_temperature_celsius' => seen.celsius, 'engine_meanwhile' => 'cranks' }
      keep(crank_figures(seen).map { |key, value| [shown(key, value, time += 90, key == 'posts_cranking' ? said : {}), time] }, job: nil)
    end

    def crank_figures(seen)
      { 'posts_rest' => seen.rest_volt, 'cranking_behaviour' => 'normal', 'posts_cranking' => seen.posts_volt,
        'positive_drop' => (seen.drop_volt * (1 - GROUND_SHARE)).round(3), 'ground_drop' => (seen.drop_volt * GROUND_SHARE).round(3),
        'cranking_speed' => seen.speed_rpm }.compact
    end

    def shown(key, value, time, said)
      figure = value.is_a?(String) ? { observation: value } : { value: value }
      CORE::Readings::Reading.new(id: uuid, test_key: key, conditions: said, taken_at: time, **figure,
                                  state: CORE::Readings::Catalogue.fetch(key).state)
    end

    # Health falls a little each winter; a worn battery falls faster.
    def battery_check(days_ago)
      end_health = @story.fetch('health', END_HEALTH)
      health = end_health + ((1.02 - end_health) * days_ago / 760.0)
      unit = simulated([], health: health, celsius: 8 + (8 * Math.sin(days_ago / 58.0)))
      time = @now - (days_ago * DAY) - @random.rand(20_000)
      readings = @system.positions.flat_map do |position|
        CHECKS.map { |key| [measured(unit, key, position, time += 120, round: 0), time] }
      end
      keep(readings, job: nil)
    end

    def simulated(faults, celsius:, health:)
      conditions = @system.positions.to_h { |position| [position, condition(health)] }
      CORE::Practice::Unit.new(system: @system, faults: faults, seed: @random.rand(2**31), conditions: conditions,
                               temperature_celsius: celsius.round(1), drawn: @whole.assembly.sheet)
    end

    def condition(health)
      CORE::Practice::Bank::Condition.new(health_ratio: health + (@random.rand * 0.02),
                                          charge_percent: 92 + (@random.rand * 7))
    end

    def measured(unit, key, position, time, round:)
      found = unit.measure(key, position: position)
      CORE::Readings::Reading.new(id: uuid, test_key: key, position: position, battery: position && @system.batteries[position],
                                  value: found.value, observation: found.observation, cells: found.cells || [], state: found.state,
                                  conditions: found.conditions, taken_at: time, round: round)
    end

    def faults
      told = @story['fault'] or return []
      if told['between']
        return [CORE::Practice::Fault.between(@whole.machine, *told['between'], ohm: told['ohm'], state: told.fetch('state', 'cranking'))]
      end
      return [CORE::Practice::Fault.open(@whole.machine.sheet.loops.find { |loop| loop.key == 'start' }.load)] if told['part'] == 'starter'

      [CORE::Practice::UnitFault.new(element: told['part'], kind: told['kind'], amount: told['amount'], position: told['position'])]
    end

    def work_on_job
      open_for_days = @story['state'] == 'closed' ? 20 + @random.rand(60) : @random.rand(2) + 0.07
      start = @now - (open_for_days * DAY)
      job = open_job(start)
      unit = simulated(faults, celsius: @story.fetch('celsius'), health: @story.fetch('health', END_HEALTH))
      technician = CORE::Practice::Technician.new(unit, work: @story['work'])
      technician.work(most_steps: @story.fetch('steps', 60))
      write_events(job, technician, start)
      finish(job, start + (technician.events.last&.minutes.to_i * 60) + 300)
    end

    def open_job(start)
      job = Server::Models::Job.create(id: uuid, unit_id: @unit.id, complaint: @story['complaint'],
                                       seen: @story['seen'], opened_by_id: @people.fetch('driver').id, opened_at: start)
      Server::Models::JobSymptom.create(job_id: job.id, **Server::Models::JobSymptom.columns({ work: @story['work'] }, @unit.id))
      Server::Models::JobEvent.create(job_id: job.id, kind: 'opened', person_id: @people.fetch('driver').id, at: start)
      job.keep_sheets
      if @story['tried']
        Server::Models::Attempt.create(job_id: job.id, what: @story['tried'], by_whom: 'before us',
                                       fitted_without_diagnosis: @story.fetch('fitted', false))
      end
      job
    end

    def write_events(job, technician, start)
      ids = {}
      readings = technician.events.filter_map do |event|
        next if event.reading.nil?

        time = start + (event.minutes * 60)
        copy = with(event.reading, ids[event.reading.id] = uuid, time)
        [copy, time]
      end
      keep(readings, job: job)
      technician.events.filter_map { |event| [event.repair, start + (event.minutes * 60)] if event.repair }
                .each { |repair, time| write_repair(job, repair, ids, time) }
    end

    def with(reading, id, time)
      said = reading.class::ATTRIBUTES.to_h { |name| [name, reading.public_send(name)] }
      reading.class.new(**said, id: id, taken_at: time, conditions: reading.conditions.to_h)
    end

    def write_repair(job, repair, ids, time)
      days = @story['temporary']
      row = Server::Models::Repair.create(
        id: uuid, job_id: job.id, **what_was_mended(repair), position: repair.position,
        failing_reading_id: ids[repair.failing_reading_id], temporary: !days.nil?, made_at: time, person_id: electrician.id,
        temporary_reason: days && 'Part on order', temporary_until: days && (@now + (days * DAY)).to_date
      )
      Server::Models::Disturbance.create(id: uuid, job_id: job.id, repair_id: row.id, what: 'Negative lead off the battery', noted_at: time,
                                         put_back_at: time + 600, put_back_by_id: electrician.id)
    end

    # A part of its own is replaced; of the circuit wires are spliced and joints cleaned.
    def what_was_mended(repair)
      if repair.unit.nil?
        return { element: repair.element, cause: 'wear_out', action: 'replaced', minutes: CORE::Units::Parts.fetch(repair.element).minutes + 15 }
      end

      unit = @whole.machine.repair_units.fetch(repair.unit)
      cause = { 'wire' => 'rodent', 'clamp' => 'loose', 'lug' => 'chafe' }.fetch(unit.kind, 'corrosion')
      { repair_unit: unit.key, item_uuids: Sequel.pg_array(unit.item_uuids, :uuid), label: unit.label, cause: cause,
        action: unit.kind == 'wire' ? 'repaired' : 'cleaned', minutes: unit.minutes + 15 }
    end

    def finish(job, time)
      case @story['state']
      when 'closed' then end_job(job, 'closed', time, ended_at: time)
      when 'parked' then end_job(job, 'parked', time,
                                 parked_missing: 'Nothing wrong while watched: read it the next time it fails')
      end
    end

    def end_job(job, state, time, **values)
      job.update(state: state, **values)
      Server::Models::JobEvent.create(job_id: job.id, kind: state, person_id: electrician.id, at: time,
                                      reason: values.fetch(:parked_missing, ''))
    end

    def keep(readings, job:) = rows.keep(readings, job: job)
    def rows = @rows ||= ReadingRows.new(@unit, batteries: @batteries, by: electrician, system: @system, whole: @whole)
  end
end
