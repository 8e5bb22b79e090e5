# frozen_string_literal: true

module Server
  module Models
    # One thing done or seen on a spark engine, or a sum that is kept on a unit. It is struck out, never changed.
    class EngineEntry < Sequel::Model(:engine_entry)
      unrestrict_primary_key

      dataset_module do
        def standing = where(struck_at: nil)

        # What counts of one craft: from the last beginning on.
        #
        # SQL: select * from engine_entry where unit_id = ? and craft = ? and struck_at is null and at >= (the last begun of those) order by at, id
        def since_begun(about)
          all = standing.where(about)
          begun = all.where(kind: 'begun').max(:at)
          (begun ? all.where { at >= begun } : all).order(:at, :id)
        end
      end

      # @param engine [Queries::Engine] of the unit
      # @param input [Hash] of Contracts::NewEngineEntry
      # @param by [Account]
      # @return [EngineEntry]
      # @raise [Wattomneum::Error, Refusals::InvalidInput] where it cannot be so on this unit
      def self.tell(engine, input, by:)
        said = Said.new(engine, input).to_h
        watch(engine.unit, input, by) if input[:kind] == 'watched'
        about = { unit_id: engine.unit.id, **engine.about(input) }
        create(id: input[:id], **about, kind: input[:kind], said: Sequel.pg_jsonb(said), person_id: by.id, at: Time.now.utc)
      end

      # Long enough for what let go by itself to come again (ours).
      WATCH_DAYS = 90
      DAY_SECONDS = 86_400

      # @!visibility private
      def self.watch(unit, input, by)
        Notice.once('watch', 'No spark, and it came back by itself', unit_id: unit.id, by: by, suspects: input[:words],
                                                                     until: (Time.now.utc + (WATCH_DAYS * DAY_SECONDS)).to_date)
      end
      private_class_method :watch

      # Said twice, the first word stays.
      #
      # @param because [String]
      # @param by [Account]
      # @return [EngineEntry]
      def strike(because, by:)
        update(struck_at: Time.now.utc, struck_by_id: by.id, struck_because: because) if struck_at.nil?
        self
      end

      # @return [Wattomneum::Ignition::Kill::Entry]
      def to_kill = Wattomneum::Ignition::Kill::Entry.new(kind: kind, at: at, **plain.slice(:branch, :spark, :ohm, :stage, :words, :asked))

      # @return [Wattomneum::Ignition::Cap]
      def to_cap = self.class.cap(plain)

      # @param said [Hash{Symbol => Object}] as it was told
      # @return [Wattomneum::Ignition::Cap]
      # @raise [Wattomneum::InvalidQuantityError]
      def self.cap(said)
        cylinders = said.slice(:towers, :weak).compact.transform_values { |list| list.map(&:round) }
        given = said.slice(:order, :rotation, :first_at, :intervals, :wasted, :needs, :leads, :seen_first_at, :seen_mirrored).compact
        Wattomneum::Ignition::Cap.new(**given, **cylinders)
      end

      # @param places [Hash{String => Integer}] id of an entry to its place in the list
      # @return [Wattomneum::Ignition::Plugs::Entry]
      def to_plugs(places)
        fields = plain.slice(*Wattomneum::Ignition::Plugs::Entry.members - %i[kind at change])
        Wattomneum::Ignition::Plugs::Entry.new(kind: kind, at: at, change: places[plain[:change]], **fields)
      end

      # @return [Hash{Symbol => Object}] what was said
      def plain = @plain ||= said.to_h.transform_keys(&:to_sym)
    end
  end
end
