# frozen_string_literal: true

module Server
  module Models
    # That somebody asked an engine to stop, in one way, and what it did. One that ran on holds its unit.
    class StopProof < Sequel::Model(:stop_proof)
      unrestrict_primary_key
      OUTCOMES = %w[stopped ran_on].freeze

      dataset_module do
        # @param fitted [UnitSheet]
        def of(fitted) = where(unit_id: fitted.unit_id, sheet_id: fitted.sheet_id)

        # The last trial of each way of asking.
        #
        # SQL: select distinct on (device_uuid, asked_key) * from stop_proof where unit_id = ? and sheet_id = ?
        #      order by device_uuid, asked_key, at desc
        def last_trials = distinct(:device_uuid, :asked_key).order(:device_uuid, :asked_key, Sequel.desc(:at))
      end

      # @param fitted [UnitSheet]
      # @param asked [Wattomneum::Circuits::Questions::StopTable::Asked]
      # @param input [Hash] of Contracts::NewStopProof
      # @param by [Account]
      # @return [StopProof]
      def self.tell(fitted, asked, input, by:)
        about = { **fitted.values.slice(:unit_id, :sheet_id), device_uuid: input[:device], asked_key: asked.key, asked_label: asked.label }
        proof = create(**input.slice(:id, :outcome, :seconds), **about, person_id: by.id, at: Time.now.utc)
        Notice.once('holds', "Does not stop: #{asked.label}", unit_id: fitted.unit_id, by: by) if proof.outcome == 'ran_on'
        proof
      end
    end
  end
end
