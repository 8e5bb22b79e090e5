# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # What there is of a sheet, who has which version, and which jobs go on with an older one.
      module Versions
        # @param sheet [Models::Sheet]
        # @param found [Queries::UnitsOfSheet]
        # @return [Hash]
        def self.call(sheet, found)
          newest = found.versions.first
          { key: sheet.key, versions: found.versions.map { |version| line(version, found) }, behind: found.behind.map(&:to_h),
            behind_count: found.units.except(newest.id).values.sum }
        end

        def self.line(version, found)
          { version_id: version.id, n: version.n, title: version.title, system_volt: version.system_volt, person: found.names[version.person_id],
            published_at: version.created_at.iso8601, units: found.units.fetch(version.id, 0), jobs: found.jobs.fetch(version.id, 0) }
        end
        private_class_method :line
      end
    end
  end
end
