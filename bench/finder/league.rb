# frozen_string_literal: true

# All complaints, so many hidden faults each, in processes side by side.
class League
  CHUNK = 10

  # @param count [Integer] faults a complaint
  # @param seed [Integer]
  # @param set [Symbol]
  # @param only [Array<String>] complaints
  # @param show [String, nil] how those ended whose trail is printed
  def initialize(count:, seed:, set:, only:, show: nil)
    @count = count
    @seed = seed
    @set = set
    @only = only
    @show = show
  end

  def print
    chunks = @only.product((0...@count).each_slice(CHUNK).to_a)
    done = Parallel.map(chunks, in_processes: Etc.nprocessors) { |complaint, numbers| [complaint, numbers.map { |number| one(complaint, number) }] }
    by_complaint = done.group_by(&:first).transform_values { |rows| rows.flat_map(&:last) }
    by_complaint.each { |complaint, all| puts row(complaint, all) }
    puts row('all', by_complaint.values.flatten)
    by_kind(by_complaint)
  end

  # @param complaint [String]
  # @param number [Integer]
  # @return [Outcome]
  def one(complaint, number)
    found = on_a_unit(complaint, number)
    puts "#{number} #{found.ended}#{' wrong' if found.wrong}\n#{found.trail.call}" if shown?(found)
    found.trail = nil
    found
  end

  private

  # What breaks the advice is named, so that it can be followed by itself.
  def on_a_unit(complaint, number)
    OnAUnit.new(complaint, number, @seed, set: @set).call
  rescue StandardError => e
    raise e.class, "#{complaint} #{number} (SEED=#{@seed}, SET=#{@set}): #{e.message}", e.backtrace
  end

  def shown?(found) = @show && (found.ended == @show || (@show == 'wrong' && found.wrong) || (@show == 'condemned' && found.condemned))

  def row(name, all)
    minutes = all.map(&:minutes).sort
    share = ->(&which) { 100.0 * all.count(&which) / all.size }
    parked = all.select { |one| one.ended == 'parked' }
    format('%<name>-14s %<n>4d faults  %<tests>5.1f tests  %<mean>5.1f min (half %<half>3d, nine tenths %<most>3d)  right %<right>5.1f %%  ' \
           'wrong %<wrong>4.1f  condemned %<condemned>4.1f  parked %<parked>4.1f (named %<named>d of %<of>d)  closed over it %<closed>4.1f  ' \
           'not closed %<open>4.1f  good mended %<good>4.1f  no end %<endless>4.1f',
           name: name, n: all.size, tests: all.sum(&:tests) / all.size.to_f, mean: minutes.sum / minutes.size.to_f, half: minutes[minutes.size / 2],
           most: minutes[minutes.size * 9 / 10], right: share.call { |one| one.ended == 'right' }, wrong: share.call(&:wrong),
           condemned: share.call(&:condemned), parked: share.call { |one| one.ended == 'parked' }, named: parked.count(&:named), of: parked.size,
           closed: share.call { |one| one.ended == 'closed with a fault in' }, good: share.call { |one| one.good_mended.positive? },
           open: share.call { |one| one.ended == 'not closed' }, endless: share.call { |one| one.ended == 'without end' })
  end

  # Where it fails, by what was hidden.
  def by_kind(by_complaint)
    by_complaint.each do |complaint, all|
      all.group_by(&:kind).each do |kind, some|
        puts format('  %<complaint>-14s %<kind>-16s %<ends>s', complaint: complaint, kind: kind, ends: some.map(&:ended).tally)
      end
    end
  end
end
