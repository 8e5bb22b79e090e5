# frozen_string_literal: true

require 'digest'

module Server
  module Models
    # What a sheet said at a time. Its content never changes; a job that uses it freezes it.
    class SheetVersion < Sequel::Model(:sheet_version)
      many_to_one :sheet, class: 'Server::Models::Sheet'

      dataset_module do
        # The newest version of every sheet.
        #
        # SQL: select distinct on (sheet_id) * from sheet_version order by sheet_id, n desc
        def newest = distinct(:sheet_id).order(:sheet_id, Sequel.desc(:n))
      end

      class << self
        # @param key [String]
        # @return [SheetVersion, nil]
        def newest_of(key)
          where(sheet_id: Sheet.where(key: key).select(:id)).order(Sequel.desc(:n)).first
        end

        # Only what can be worked out is kept: put together, and settled in every key state.
        #
        # @param core [Wattomneum::Circuits::Sheet]
        # @return [void]
        # @raise [Wattomneum::OverBudgetError] if it is more than is worked out at once
        # @raise [Wattomneum::ConvergenceError] if it finds no rest
        def workable!(core) = Wattomneum::Circuits::Machine.new(core).settled.all

        # @param sheet [Sheet]
        # @param core [Wattomneum::Circuits::Sheet]
        # @param by [Account, nil]
        # @return [SheetVersion]
        def establish(sheet, core, by:)
          content = Wattomneum::Circuits::Notation::SheetWriter.write(core)
          digest = Digest::SHA256.hexdigest(content)
          first(sheet_id: sheet.id, digest: digest) || make(sheet, core, content, digest, by)
        end

        private

        def make(sheet, core, content, digest, by)
          number = where(sheet_id: sheet.id).max(:n).to_i + 1
          version = create(sheet_id: sheet.id, n: number, title: core.title, system_volt: core.system_volt, digest: digest,
                           content: content, person_id: by&.id)
          db[:sheet_item].multi_insert(items(version, core))
          version
        end

        def items(version, core)
          parts = core.parts.flat_map do |part|
            [item(version, part.uuid, 'part', part.id, part.label),
             *part.pins.map { |pin| item(version, part.uuid, 'pin', part.node(pin), "#{part.label}, pin #{pin}") },
             *part.aliases.map { |drawn, pin| item(version, part.uuid, 'pin', part.node(drawn), "#{part.label}, pin #{pin}") }]
          end
          parts + core.wires.map { |wire| item(version, wire.uuid, 'wire', wire.number, "#{wire.from} to #{wire.to}") }
        end

        def item(version, uuid, kind, name, label)
          { version_id: version.id, item_uuid: uuid, kind: kind, name: name, label: label }
        end
      end

      # @return [Boolean] whether the sheet names ways to stop an engine; told without reading it through
      def names_stops? = content.match?(/^stops:/)

      # @return [Wattomneum::Circuits::Sheet]
      # @raise [Wattomneum::RefusedError] if it was kept under older rules and does not keep to those of now
      def to_core
        read = Wattomneum::Circuits::Notation::SheetReader.read(content)
        read.sheet || raise(Wattomneum::RefusedError, "\"#{title}\", version #{n}, was kept under older rules: #{read.problems.first}. " \
                                                      'Bring in a mended sheet and fit it in its place')
      end

      # A job that uses it keeps it as it is.
      def freeze_for_use
        update(frozen_at: Time.now.utc) if frozen_at.nil?
      end
    end
  end
end
