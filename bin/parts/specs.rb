# frozen_string_literal: true

# specs.rb COUNT FOLDER...: all specs in processes side by side with one summary, each with as much work by the recorded run time.
require 'turbo_tests'
require 'fileutils'

# turbo_tests knows recorded run times for the one folder "spec" only, and writes over what it reads.
class SpecProcesses < TurboTests::Runner
  # Run time of each file in seconds, kept in the repository: a line "path:seconds". A file that is not in it counts as an average one.
  KNOWN = 'spec/run_times.txt'
  MEASURED = 'var/run_times.txt'

  # @return [Integer] exit status
  def run
    groups = ParallelTests::RSpec::Runner.tests_in_groups(@files, @count, group_by: :runtime, runtime_log: KNOWN,
                                                                                     allowed_missing_percent: 100)
    @num_processes = groups.size
    @reporter.report(groups) do
      processes = groups.each.with_index(1).map { |files, number| start_regular_subprocess(files, number, record_runtime: true) }
      handle_messages
      @threads.each(&:join)
      processes.map { |process| process.value.exitstatus || 1 }.max
    end
  end
end

# Ruby's own compiler takes a fifth off what is worked out in the specs. What they start runs without it, as it does for people.
ENV['RUBYOPT'] = "#{ENV.fetch('RUBYOPT', nil)} --yjit" if system('ruby', '--yjit', '-e', '0', err: File::NULL)

count, *folders = ARGV
FileUtils.mkdir_p('var')
FileUtils.rm_f(SpecProcesses::MEASURED)
exit SpecProcesses.run(formatters: [{ name: 'progress', outputs: ['-'] }], tags: [], files: folders, count: Integer(count),
                       seed: Random.rand(65_535).to_s, runtime_log: SpecProcesses::MEASURED)
