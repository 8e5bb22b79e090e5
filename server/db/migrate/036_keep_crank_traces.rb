# frozen_string_literal: true

# What an instrument wrote while a unit was cranked: its figures, and as much of the curve as is drawn. A row is never changed.
Sequel.migration do
  up do
    create_table(:crank_trace) do
      uuid :id, primary_key: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      String :digest, null: false
      Bignum :rows, null: false
      Integer :cylinders
      Float :celsius
      String :verdict, null: false
      jsonb :figures, null: false
      jsonb :curve, null: false
      jsonb :shares
      jsonb :marks, null: false
      jsonb :remarks, null: false
      jsonb :said, null: false
      String :core_version, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :taken_at, null: false
      Time :received_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[unit_id taken_at]
      unique %i[unit_id digest]
      constraint(:crank_trace_verdict_known, verdict: %w[sound watch act unproven])
      constraint(:crank_trace_cylinders, Sequel.lit('cylinders between 1 and 16'))
    end
    run 'create trigger append_only before update or delete on crank_trace for each row execute function refuse_change()'
    run 'create trigger append_only_whole before truncate on crank_trace for each statement execute function refuse_change()'
  end

  down { drop_table(:crank_trace) }
end
