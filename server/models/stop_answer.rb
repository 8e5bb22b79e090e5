# frozen_string_literal: true

module Server
  module Models
    # What a lead says of the faults with which an engine will not stop: what guards against them, or why it goes out all the same. It holds for
    # those faults of that sheet, on whichever unit: another circuit asks again. The unit is the one in front of which it was said.
    class StopAnswer < Sequel::Model(:stop_answer)
      unrestrict_primary_key

      dataset_module do
        # @param sheet_id [String]
        def of(sheet_id) = where(sheet_id: sheet_id)
      end

      # @param fitted [UnitSheet]
      # @param table [Wattomneum::Circuits::Questions::StopTable]
      # @param input [Hash] of Contracts::NewStopAnswer
      # @param by [Account] a lead
      # @return [StopAnswer]
      def self.give(fitted, table, input, by:)
        create(id: input[:id], unit_id: fitted.unit_id, sheet_id: fitted.sheet_id, device_uuid: input[:device], findings_digest: digest(table),
               words: input[:words], person_id: by.id, at: Time.now.utc)
      end

      # @param table [Wattomneum::Circuits::Questions::StopTable]
      # @return [String] of what will not stop it, whatever it is called
      def self.digest(table)
        found = table.will_not_stop.map { |row| [row.item, row.how, row.stops.reject { |_, stops| stops }.keys] }
        Digest::SHA256.hexdigest(JSON.generate(found.sort))
      end
    end
  end
end
