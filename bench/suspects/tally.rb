# frozen_string_literal: true

# How the runs of one circuit ended, by one way of choosing.
class Tally
  Run = Struct.new(:readings, :minutes, :ended, :condemned, keyword_init: true)
  attr_reader :key, :name, :claims, :runs, :misfits

  def initialize(key, name)
    @key = key
    @name = name
    @claims = []
    @runs = []
    @misfits = 0
  end

  # @param run [Product, Search] done
  # @param guilty [Array<String>] keys of the parts at fault
  def add(run, guilty, _truth)
    ended = run.found.nil? ? 'stalled' : { true => 'right', false => 'wrong' }.fetch(guilty.include?(run.found))
    @runs << Run.new(readings: run.probes.size, minutes: run.minutes, ended: ended, condemned: ended == 'wrong' && run.condemned?)
    return unless run.is_a?(Product) && name == 'belief'

    @claims.concat(run.claims.map { |unit, share| [share, guilty.include?(unit&.key)] })
    @misfits += 1 if run.misfits.positive?
  end

  def to_s
    return format('%<key>-12s %<name>-15s none of these faults makes it fail', key: key, name: name) if runs.empty?

    format('%<key>-12s %<name>-15s %<n>3d faults: %<tests>4.1f readings, %<minutes>5.1f min, %<ended>s', key: key, name: name, n: runs.size,
           tests: mean(&:readings), minutes: mean(&:minutes), ended: ended)
  end

  # @param tallies [Array<Tally>]
  # @return [String] all circuits of each way of choosing
  def self.together(tallies)
    tallies.group_by(&:name).map do |name, same|
      all = same.flat_map(&:runs)
      format('%<name>-15s %<n>d faults, %<ended>s, good batteries, starters, alternators and control units condemned: %<bad>d, ' \
             'readings asked for again in %<again>d', name: name, n: all.size, ended: all.map(&:ended).tally, bad: all.count(&:condemned),
                                                      again: same.sum(&:misfits))
    end
  end

  private

  def mean(&) = runs.sum(&) / runs.size.to_f

  def ended
    shares = runs.map(&:ended).tally.transform_values { |count| 100.0 * count / runs.size }
    shares.map { |how, share| format('%<how>s %<share>.1f %%', how: how, share: share) }.join(', ')
  end
end
