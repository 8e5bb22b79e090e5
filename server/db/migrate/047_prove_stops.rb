# frozen_string_literal: true

# That a stop was tried and what the engine did; and what a lead says of faults with which it will not stop.
Sequel.migration do
  up do
    create_table(:stop_proof) do
      uuid :id, primary_key: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      foreign_key :sheet_id, :sheet, type: :uuid, null: false
      uuid :device_uuid, null: false
      String :asked_key, null: false
      String :asked_label, null: false
      String :outcome, null: false
      Float :seconds
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:stop_proof_outcome, outcome: %w[stopped ran_on])
      index %i[unit_id sheet_id device_uuid asked_key at]
    end
    create_table(:stop_answer) do
      uuid :id, primary_key: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      foreign_key :sheet_id, :sheet, type: :uuid, null: false
      uuid :device_uuid, null: false
      String :findings_digest, null: false
      String :words, text: true, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[unit_id sheet_id device_uuid at]
    end
  end

  down { %i[stop_answer stop_proof].each { |table| drop_table(table) } }
end
