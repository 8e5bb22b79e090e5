# frozen_string_literal: true

require_relative 'golden_jobs'

# A recorded job put to the program as it is now, row by row.
class Replay
  include CoreFixtures

  # kind: judged, names (the same verdict, what it convicts or clears by another name), step, ladder or missing; at: test key, or what the
  # row did; was and is: as GoldenJobs writes them
  Difference = Struct.new(:job, :row, :kind, :at, :was, :is, keyword_init: true) do
    def to_s = "job #{job} row #{row}: #{kind} of #{at}: was \"#{was}\", is \"#{is}\""
  end

  # @param job [GoldenJobs::Job]
  def initialize(job)
    @job = job
    @system = public_send(job.system)
    @readings = []
    @repairs = []
  end

  # @return [Array<Difference>]
  def differences
    found = @job.rows.each_with_index.flat_map { |row, index| row.mended ? mend(row, index) : read(row, index) }
    found + at_the_end
  end

  private

  def assessment
    Wattomneum::Faults::Assessment.new(system: @system, machine: usual_machine(@system), readings: @readings.dup, repairs: @repairs.dup, symptom: Wattomneum::Jobs::Symptom.of(@job.family))
  end

  def mend(row, index)
    @repairs << Wattomneum::Jobs::Repair.new(id: "m#{@repairs.size + 1}", element: row.mended, position: row.position, temporary: false,
                                             failing_reading_id: row.failing && @readings[row.failing].id)
    step(row, index, "mend #{row.mended}")
  end

  def read(row, index)
    @readings << reading_of(row)
    now = assessment
    is = GoldenJobs.judged(now.judgements.fetch(@readings.last.id))
    differing(verdict(row.judged) == verdict(is) ? 'names' : 'judged', row.test_key, row.judged, is, index) + step(row, index, row.test_key, now)
  end

  # What was judged, without what it names.
  def verdict(written) = written.split.first(3)

  def step(row, index, at, now = assessment)
    row.next_step ? differing('step', at, row.next_step, GoldenJobs.step(now.next_step), index) : []
  end

  def at_the_end
    last = assessment
    ladders = GoldenJobs.ladders(last)
    @job.ladders.zip(ladders).flat_map { |was, is| differing('ladder', was.split.first, was, is, nil) } +
      differing('missing', @job.family, @job.missing.join('; '), last.missing_to_close.join('; '), nil)
  end

  def reading_of(row)
    Wattomneum::Readings::Reading.new(
      id: "r#{@readings.size + 1}", test_key: row.test_key, position: row.position, taken_at: @readings.size, value: row.value,
      observation: row.observation, cells: row.cells, conditions: row.conditions, state: row.state, round: @repairs.size,
      battery: row.position && @system.batteries[row.position]
    )
  end

  def differing(kind, at, was, now, row)
    was == now ? [] : [Difference.new(job: @job.number, row: row, kind: kind, at: at, was: was, is: now)]
  end
end
