# frozen_string_literal: true

module Server
  module Models
    class StartThreshold < Sequel::Model(:start_threshold)
      # Many rows in one statement each. What they were heard from lies in a table of its own: it is long, and no list reads it.
      module Rows
        IN_JSON = %i[narrowing remedies].freeze
        OF_EVIDENCE = %i[told_logs before_last].freeze
        private_constant :IN_JSON, :OF_EVIDENCE

        private

        # SQL: insert into start_threshold (...) values (...), (...) on conflict (unit_id) do update set ... = excluded...
        def write(rows)
          return 0 if rows.empty?

          upsert(dataset, rows.map { |row| row.except(*OF_EVIDENCE) })
          keep_evidence(rows.to_h { |row| [row[:unit_id], row] })
          rows.size
        end

        def upsert(table, rows)
          changed = rows.first.keys - [:unit_id]
          table.insert_conflict(target: :unit_id, update: changed.to_h { |name| [name, Sequel[:excluded][name]] }).multi_insert(rows)
        end

        # @param rows [Hash{String => Hash}] by unit
        def keep_evidence(rows)
          upsert(db[:start_evidence], rows.map do |unit_id, row|
            { unit_id: unit_id, **OF_EVIDENCE.to_h { |name| [name, row.fetch(name).to_json] } }
          end)
        end

        # What its mornings are heard from, without what is shown of it.
        #
        # SQL: select unit_id, celsius, ..., told_logs, before_last from start_threshold left join start_evidence using (unit_id)
        #      where unit_id in ? order by unit_id
        def of_units(unit_ids)
          mine = Sequel[:start_threshold]
          where(mine[:unit_id] => unit_ids).left_join(:start_evidence, unit_id: :unit_id).order(mine[:unit_id])
                                           .select(*(columns - IN_JSON).map { |name| mine[name] }, *OF_EVIDENCE).all
        end

        # A whole yard in one statement.
        #
        # SQL: update start_threshold set celsius = cast(heard.celsius as double precision), ... from (values (...), (...)) as heard
        #      where start_threshold.unit_id = cast(heard.unit_id as uuid)
        #
        # @param changes [Hash{String => Hash}] columns by unit
        def change(changes)
          return if changes.empty?

          names = changes.values.first.keys - OF_EVIDENCE
          heard = changes.map { |unit_id, columns| [unit_id, *columns.values_at(*names)] }
          set = names.to_h { |name| [name, Sequel.cast(Sequel[:heard][name], db_schema.fetch(name).fetch(:db_type))] }
          DB.from(:start_threshold, DB.values(heard).as(:heard, [:unit_id, *names]))
            .where(Sequel[:start_threshold][:unit_id] => Sequel.cast(Sequel[:heard][:unit_id], :uuid)).update(set)
          keep_evidence(changes) if changes.values.first.key?(:told_logs)
        end

        def in_columns(row) = row.to_h { |name, value| [name, IN_JSON.include?(name) && value ? Sequel.pg_jsonb(value) : value] }
      end
    end
  end
end
