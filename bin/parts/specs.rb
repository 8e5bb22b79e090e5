# frozen_string_literal: true

# specs.rb COUNT FOLDER...: all specs in processes side by side with one summary: those of core in one, the others in so many, each with as much
# work by the recorded run time.
require 'turbo_tests'
require 'fileutils'

# turbo_tests knows recorded run times for the one folder "spec" only, and writes over what it reads.
class SpecProcesses < TurboTests::Runner
  # Run time of each file in seconds, kept in the repository: a line "path:seconds". A file that is not in it counts as an average one.
  KNOWN = 'spec/run_times.txt'
  MEASURED = 'var/run_times.txt'
  CORE = 'core/spec'

  # @return [Integer] exit status
  def run
    groups = [*shared_out(@files - [CORE], @count), *shared_out(@files & [CORE], 1)]
    @num_processes = groups.size
    @reporter.report(groups) do
      processes = groups.each.with_index(1).map { |files, number| number > @count ? beside(files, number) : started(files, number) }
      handle_messages
      @threads.each(&:join)
      processes.map { |process| process.value.exitstatus || 1 }.max
    end
  end

  private

  def shared_out(folders, count)
    return [] if folders.empty?

    ParallelTests::RSpec::Runner.tests_in_groups(folders, count, group_by: :runtime, runtime_log: KNOWN, allowed_missing_percent: 100)
  end

  def started(files, number) = start_regular_subprocess(files, number, record_runtime: true)

  # What only reckons fills the time in which browsers and killed processes are waited for. Ruby's own compiler takes a third off it; what serves
  # runs in the specs as it does for people, without.
  def beside(files, number)
    before = ENV.fetch('RUBYOPT', nil)
    ENV['RUBYOPT'] = "#{before} --yjit" if system('ruby', '--yjit', '-e', '0', err: File::NULL)
    started(files, number)
  ensure
    ENV['RUBYOPT'] = before
  end
end

count, *folders = ARGV
FileUtils.mkdir_p('var')
FileUtils.rm_f(SpecProcesses::MEASURED)
exit SpecProcesses.run(formatters: [{ name: 'progress', outputs: ['-'] }], tags: [], files: folders, count: Integer(count),
                       seed: Random.rand(65_535).to_s, runtime_log: SpecProcesses::MEASURED)
