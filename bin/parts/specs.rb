# frozen_string_literal: true

# specs.rb PART COUNT FOLDER...: the specs of a part, everyday or long, in so many processes side by side with one summary: those of core by
# themselves, with those of the server every day, since they are quicker in a database without a fleet. Each process gets as much work by the
# recorded run times.
require 'turbo_tests'
require 'fileutils'

# What a part of the specs runs: its tags, which folders share how many processes of their own, and where its recorded run times lie, in the
# repository: a line "path:seconds" each, a file that is not in it counts as an average one.
Part = Struct.new(:tags, :apart, :run_times, :marked, keyword_init: true)
PARTS = {
  'everyday' => Part.new(tags: ['~long'], apart: { %w[server/spec/ core/spec/] => 2 }, run_times: 'spec/run_times.txt', marked: //),
  # What is tagged with seeds runs in both parts, less of it every day.
  'long' => Part.new(tags: %w[long seeds], apart: { %w[core/spec/] => 2 }, run_times: 'spec/run_times_long.txt', marked: /:long\b|:seeds\b/)
}.freeze

# turbo_tests knows recorded run times for the one folder "spec" only, and writes over what it reads.
class SpecProcesses < TurboTests::Runner
  MEASURED = 'var/run_times.txt'
  # Memory for time: fewer rounds of collecting what is thrown away, a tenth of it.
  ROOMY = { 'RUBY_GC_HEAP_INIT_SLOTS' => '1500000', 'RUBY_GC_MALLOC_LIMIT' => '134217728', 'RUBY_GC_MALLOC_LIMIT_MAX' => '268435456',
            'RUBY_GC_OLDMALLOC_LIMIT' => '268435456', 'RUBY_GC_OLDMALLOC_LIMIT_MAX' => '536870912' }.freeze
  PART = PARTS.fetch(ARGV.fetch(0))

  # @return [Integer] exit status
  def run
    groups = in_groups
    @num_processes = groups.size
    @reporter.report(groups) do
      processes = groups.each.with_index(1).map { |files, number| apart?(files) ? beside(files, number) : started(files, number) }
      handle_messages
      @threads.each(&:join)
      processes.map { |process| process.value.exitstatus || 1 }.max
    end
  end

  private

  # What has processes of its own comes last, as bin/test lays out their databases.
  def in_groups
    apart = PART.apart.map { |folders, count| [@files.select { |file| file.start_with?(*folders) }, count] }
    [[@files - apart.flat_map(&:first), @count - PART.apart.values.sum], *apart].flat_map { |files, count| shared_out(files, count) }
  end

  def shared_out(files, count)
    return [] if files.empty?

    ParallelTests::RSpec::Runner.tests_in_groups(files, [count, files.size].min, group_by: :runtime, runtime_log: PART.run_times,
                                                                                 allowed_missing_percent: 100)
  end

  def apart?(files) = files.first.start_with?(*PART.apart.keys.flatten)
  def started(files, number) = start_regular_subprocess(files, number, record_runtime: true)

  # What only reckons and asks fills the time in which browsers and killed processes are waited for. Ruby's own compiler takes a third off it; what
  # is driven as people drive it, by a browser or as a program, runs as it does for them, without.
  def beside(files, number)
    before = ENV.to_h
    ENV['RUBYOPT'] = "#{before['RUBYOPT']} --yjit" if system('ruby', '--yjit', '-e', '0', err: File::NULL)
    ENV.update(ROOMY)
    started(files, number)
  ensure
    ENV.replace(before)
  end
end

_, count, *folders = ARGV
FileUtils.mkdir_p('var')
FileUtils.rm_f(SpecProcesses::MEASURED)
files = folders.flat_map { |folder| Dir["#{folder}/**/*_spec.rb"] }.sort.select { |file| File.read(file).match?(SpecProcesses::PART.marked) }
exit SpecProcesses.run(formatters: [{ name: 'progress', outputs: ['-'] }], tags: SpecProcesses::PART.tags, files: files, count: Integer(count),
                       seed: Random.rand(65_535).to_s, runtime_log: SpecProcesses::MEASURED)
