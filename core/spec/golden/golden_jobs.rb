# frozen_string_literal: true

require 'json'

# Five hundred jobs as they ran before the one circuit, whole: each reading with its conditions, what it was judged to be, the step that
# came next, and where the ladders stood at the end. Replayed, whatever comes out otherwise is either wanted, and listed with the rule
# that wants it (wanted.yml), or wrong. The readings are in the file: no simulation is run when it is replayed.
module GoldenJobs
  PATH = File.join(__dir__, 'jobs.json')
  SYSTEMS = %w[parallel_pair series_pair single_battery].freeze
  # One row: a reading, or a repair (mended: element, failing: index of the reading that showed it).
  Row = Struct.new(:test_key, :position, :value, :observation, :cells, :conditions, :state, :judged, :next_step, :mended, :failing,
                   keyword_init: true)
  Job = Struct.new(:number, :system, :family, :fault, :rows, :ladders, :missing, keyword_init: true)

  # @return [Array<Job>]
  def self.all
    file = JSON.parse(File.read(PATH))
    file['jobs'].each_with_index.map do |job, number|
      rows = job['rows'].map { |row| row.first == 'mend' ? mended(row, file) : read(row, file) }
      Job.new(number: number, system: job['system'], family: job['family'], fault: job['fault'], rows: rows, ladders: job['ladders'],
              missing: job['missing'])
    end
  end

  def self.mended(row, file)
    _, element, position, failing, following = row
    Row.new(mended: element, position: position, failing: failing, next_step: following && file['words'][following])
  end

  def self.read(row, file)
    test, position, value, observation, cells, conditions, state, judged, following = row
    Row.new(test_key: file['words'][test], position: position, value: value, observation: observation, cells: cells,
            conditions: file['conditions'][conditions], state: state, judged: file['words'][judged],
            next_step: following && file['words'][following])
  end
  private_class_method :mended, :read

  # How a judgement is written: verdict, validity, weight, what it convicts and clears.
  def self.judged(judgement)
    [judgement.verdict, judgement.validity, judgement.weight,
     *judgement.convicts.map { |element| "-#{element}" }, *judgement.clears.map { |element| "+#{element}" }].join(' ')
  end

  # How a step is written: kind, test, two points or what is mended, position. Two points are written as "between".
  def self.step(step) = [step.kind, step.test_key || step.element || step.unit || ('between' if step.probe), step.position].compact.join(' ')

  # How the ladders are written: suspect, position, the rungs in order. The rung "evidence" came later (rule 1).
  def self.ladders(assessment)
    assessment.ladders.map do |one|
      rungs = one.rungs.reject { |rung| rung.key == 'evidence' }
      "#{one.suspect}#{one.position} #{rungs.map { |rung| "#{rung.key}:#{rung.state}" }.join(' ')}"
    end
  end
end
