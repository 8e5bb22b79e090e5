# frozen_string_literal: true

module Server
  module Models
    # What a lead says of the faults with which an engine will not stop: what guards against them, or why it goes out all the same. It holds for
    # those faults alone: another circuit asks again.
    class StopAnswer < Sequel::Model(:stop_answer)
      unrestrict_primary_key

      dataset_module do
        # @param fitted [UnitSheet]
        def of(fitted) = where(unit_id: fitted.unit_id, sheet_id: fitted.sheet_id)
      end

      # @param fitted [UnitSheet]
      # @param table [Wattomneum::Circuits::Questions::StopTable]
      # @param input [Hash] of Contracts::NewStopAnswer
      # @param by [Account] a lead
      # @return [StopAnswer]
      def self.give(fitted, table, input, by:)
        said = { words: input[:words], sheet_id: fitted.sheet_id, device_uuid: input[:device], findings_digest: digest(table), person_id: by.id,
                 at: Time.now.utc }
        if input[:alike]
          dataset.multi_insert(alike(fitted, input[:device], table).select_map(:unit_id).uniq.map do |id|
            { id: SecureRandom.uuid, unit_id: id, **said }
          end)
        end
        create(id: input[:id], unit_id: fitted.unit_id, **said)
      end

      # @param fitted [UnitSheet]
      # @param device [String] UUID of what decides
      # @param table [Wattomneum::Circuits::Questions::StopTable]
      # @return [Sequel::Dataset] findings of other units with this sheet and the same faults that nobody has answered
      def self.alike(fitted, device, table)
        same = { sheet_id: fitted.sheet_id, device_uuid: device, findings_digest: digest(table) }
        StopFinding.unanswered.where(same).exclude(unit_id: fitted.unit_id)
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
