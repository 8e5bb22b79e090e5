# frozen_string_literal: true

module Server
  module Models
    # What of a unit's readings its cold start goes by: the last crank test of its bank, and what it draws asleep. A row that can be worked
    # out anew at any time, written with the reading, the repair or the battery that changes it.
    class StartState < Sequel::Model(:start_state)
      unrestrict_primary_key
      OF_CRANK = %i[rest_volt posts_volt drop_volt celsius ampere speed_rpm cranked_at mended_since].freeze
      NONE = { **OF_CRANK.to_h { |name| [name, nil] }, mended_since: false }.freeze
      private_constant :OF_CRANK, :NONE

      class << self
        # @param inputs [Queries::StartInputs] of a unit
        # @return [StartState]
        def work_out(inputs)
          unit = inputs.unit
          db.transaction do
            Unit.one_after_another([unit.id])
            row = { **crank(inputs), **asleep(unit) }
            call(dataset.insert_conflict(target: :unit_id, update: row).returning.insert(unit_id: unit.id, **row).first)
          end
        end

        # One after another, as after an import.
        #
        # @param unit_ids [Array<String>]
        # @return [Integer] how many of them have a crank test that holds
        def work_out_each(unit_ids) = unit_ids.count { |id| work_out(Queries::StartInputs.of(Unit.with_pk!(id))).cranked_at }

        private

        # The newest round of readings that is a crank test: others turned nothing, or say what cannot be.
        def crank(inputs)
          return NONE unless inputs.foreseeable?

          unit = inputs.unit
          rounds = Queries::CrankRounds.new(unit.id, since: Fitting.changed_at([unit.id])[unit.id]).all
          rounds.find { |round| inputs.tested(round) }&.to_h&.slice(*OF_CRANK) || NONE
        end

        # What was read of a unit that was still awake counts for nothing.
        #
        # SQL: select reading.* from reading join lateral (its newest judgement) as judged on true where unit_id = ? and test_key = 'draw_asleep'
        #      and <standing> and value > 0 and verdict <> 'unproven' order by taken_at desc limit 1
        def asleep(unit)
          judged = Judgement.where(reading_id: Sequel[:reading][:id]).order(Sequel.desc(:made_at), :occasion).limit(1)
          newest = Reading.standing.where(unit_id: unit.id, test_key: 'draw_asleep').where(Sequel[:value] > 0.0)
                          .join(judged.lateral.as(:judged), true).exclude(Sequel[:judged][:verdict] => 'unproven').select_all(:reading)
                          .order(Sequel.desc(:taken_at), Sequel.desc(:received_at)).first
          { asleep_ampere: newest&.value, asleep_at: newest&.taken_at }
        end
      end
    end
  end
end
