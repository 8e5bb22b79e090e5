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
          counts = found.units.map(&:version_id).tally
          { key: sheet.key,
            versions: found.versions.map do |version|
              { version_id: version.id, n: version.n, title: version.title, system_volt: version.system_volt, person: found.names[version.person_id],
                published_at: version.created_at.iso8601, units: counts.fetch(version.id, 0), jobs: found.jobs.fetch(version.id, 0) }
            end,
            units: found.units.map(&:to_h) }
        end
      end
    end
  end
end
