# frozen_string_literal: true

module Server
  module Contracts
    # One thing done or seen on a spark engine, or a sum kept on a unit. Which fields go with which kind stands in KINDS; core knows what they mean.
    class NewEngineEntry < Base
      # By craft and kind: fields that are needed, and those that may be there.
      KINDS = {
        'kill' => { 'begun' => [%i[], %i[]], 'lead_off' => [%i[spark], []], 'all_off' => [%i[spark], []], 'branch_on' => [%i[branch spark], []],
                    'branch_ohm' => [%i[branch ohm], []], 'mended' => [%i[branch words], []], 'watched' => [%i[words], []],
                    'refit' => [%i[stage spark], []], 'skipped' => [%i[asked words], []] },
        'plugs' => { 'begun' => [%i[order], %i[wasted]], 'run' => [%i[dead], []], 'plug' => [%i[cylinder state], []],
                     'figure' => [%i[figure value], %i[cylinder length_m]], 'change' => [%i[part], %i[cylinder words new_part]],
                     'heat_range' => [%i[words], []], 'polarity' => [%i[reversed], []], 'shelf' => [%i[change], []] },
        'cap' => { 'wired' => [%i[order rotation first_at],
                               %i[intervals numbering towers weak wasted needs leads seen_first_at seen_mirrored]] },
        'sum' => { 'kept' => [%i[sum typed], []] }
      }.freeze
      WHERE = %i[id craft kind sheet device acknowledged].freeze
      MOST_CYLINDERS = 16
      ENGINE = Wattomneum::Ignition
      FIGURES = Types::Array.of(Types::Number).constrained(max_size: MOST_CYLINDERS)
      private_constant :ENGINE, :FIGURES

      json do
        required(:id).value(Types::Uuid)
        required(:craft).value(:string, included_in?: KINDS.keys)
        required(:kind).value(:string, included_in?: KINDS.values.flat_map(&:keys).uniq)
        optional(:sheet).value(Types::Uuid)
        optional(:device).value(Types::Uuid)
        optional(:acknowledged).value(:array, max_size?: 20).each(:string, included_in?: Wattomneum::Safety::Cautions::BY_ID.keys)
        optional(:branch).value(Types::Text, :filled?, max_size?: 60)
        optional(:asked).value(Types::Text, :filled?, max_size?: 60)
        optional(:stage).value(:string, included_in?: ENGINE::Kill::Entry::STAGES.keys)
        optional(:spark).value(:bool)
        optional(:ohm).value(Types::Text, :filled?, max_size?: 30)
        optional(:value).value(Types::Text, :filled?, max_size?: 30)
        optional(:length_m).maybe(Types::Number, gt?: 0, lteq?: 10)
        optional(:words).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
        optional(:cylinder).maybe(:integer, gteq?: 1, lteq?: MOST_CYLINDERS)
        optional(:state).value(:string, included_in?: ENGINE::Plugs::Look::ALL.keys)
        optional(:figure).value(:string, included_in?: ENGINE::Figures::KINDS.map(&:key))
        optional(:part).value(:string, included_in?: ENGINE::Plugs::Entry::PARTS.keys)
        optional(:new_part).value(:bool)
        optional(:reversed).value(:bool)
        optional(:change).value(Types::Uuid)
        optional(:dead).value(:array, max_size?: MOST_CYLINDERS).each(:integer)
        optional(:order).value(Types::Text, :filled?, max_size?: 40)
        optional(:wasted).value(:bool)
        optional(:rotation).value(:string, included_in?: ENGINE::Cap::ROTATIONS)
        optional(:first_at).value(Types::Number, gteq?: 0, lteq?: 12)
        optional(:seen_first_at).maybe(Types::Number, gteq?: 0, lteq?: 12)
        optional(:seen_mirrored).value(:bool)
        optional(:numbering).value(Types::Text, max_size?: SHORT_TEXT)
        %i[intervals towers weak needs leads].each { |name| optional(name).value(FIGURES) }
        optional(:sum).value(:string, included_in?: Wattomneum::Sums::Catalogue::ALL.map(&:key))
        optional(:typed).hash { Wattomneum::Sums::Catalogue::ALL.flat_map(&:inputs).map { |one| one['key'] }.uniq.each { |key| optional(key.to_sym).value(:string, max_size?: SHORT_TEXT) } }
      end

      rule(:craft, :kind) do
        fields = KINDS.fetch(values[:craft])[values[:kind]]
        next key(:kind).failure("is none of #{KINDS.fetch(values[:craft]).keys.join(', ')}") if fields.nil?

        needed, more = fields
        given = values.to_h.except(*WHERE).compact.keys
        (needed - given).each { |name| key(name).failure('is needed here') }
        (given - needed - more).each { |name| key(name).failure('does not go with this') }
      end

      rule(:craft) do
        next unless value == 'kill'

        %i[sheet device].each { |name| key(name).failure('is needed here') if values[name].nil? }
      end
    end
  end
end
