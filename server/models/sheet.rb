# frozen_string_literal: true

module Server
  module Models
    # A circuit sheet by its key; what it says is in its versions.
    class Sheet < Sequel::Model(:sheet)
      # Brings a sheet into the database: as a new version, or as the one that says the same already.
      #
      # @param content [String] as Wattomneum::Circuits::Notation::SheetReader reads it
      # @param wires_csv [String, nil]
      # @param by [Account, nil] nil for sheets that ship
      # @return [SheetVersion]
      # @raise [Refusals::UnreadableSheet] with every objection
      def self.bring_in(content, wires_csv: nil, by: nil)
        core = Queries::Machines.asked_by(by) { read(content, wires_csv).tap { |sheet| SheetVersion.workable!(sheet) } }
        sheet = first(key: core.key) || create(key: core.key)
        SheetVersion.establish(sheet, core, by: by)
      end

      # What each of the sheets that ship came to when this process brought it in, by its text.
      SHIPPED = Concurrent::Map.new
      private_constant :SHIPPED

      # Sheets that ship, where they are not here yet.
      def self.bring_in_shipped
        Wattomneum::Circuits::Library::TEXTS.each_value do |content|
          next if SHIPPED.key?(content) && SheetVersion.where(digest: SHIPPED[content]).any?

          SHIPPED[content] = bring_in(content).digest
        end
      end

      def self.read(content, wires_csv)
        first_try = Wattomneum::Circuits::Notation::SheetReader.read(content, wires_csv: wires_csv, written_now: true)
        raise Refusals::UnreadableSheet, first_try.problems if first_try.sheet.nil?

        earlier = SheetVersion.newest_of(first_try.sheet.key)&.to_core
        Wattomneum::Circuits::Notation::SheetReader.read(content, wires_csv: wires_csv, earlier: earlier).sheet
      end
      private_class_method :read
    end
  end
end
