# frozen_string_literal: true

require 'yaml'
require_relative 'replay'

# What five hundred jobs were told before the one circuit, against what they are told now.
RSpec.describe GoldenJobs do
  # One wanted change: rule (of docs/judging.md), kind, at, was and is as patterns.
  wanted = YAML.load_file(File.join(__dir__, 'wanted.yml'))

  def fits?(entry, difference)
    entry['kind'] == difference.kind && %w[at was is].all? { |name| Regexp.new("\\A(?:#{entry.fetch(name, '.*')})\\z").match?(difference[name]) }
  end

  # Every day another eighteenth of them; which one is told by the seed of the run.
  def jobs = Extent.sample(described_class.all, one_in: 18)

  it 'are judged and led as before, but for the listed changes, and every listed change is seen', :seeds do
    differences = jobs.flat_map { |job| Replay.new(job).differences }
    unwanted = differences.reject { |one| wanted.any? { |entry| fits?(entry, one) } }
    expect(unwanted.group_by { |one| [one.kind, one.at, one.was, one.is] }.map { |_, same| "#{same.size} times, first #{same.first}" }).to eq([])
    expect(wanted.reject { |entry| differences.any? { |one| fits?(entry, one) } }).to eq([]) if Extent.long?
  end
end
