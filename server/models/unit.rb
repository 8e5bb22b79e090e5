# frozen_string_literal: true

module Server
  module Models
    # A truck, bus, generator set, machine: what its start and charge circuits are, and what is fitted to it.
    class Unit < Sequel::Model(:unit)
      unrestrict_primary_key
      plugin :optimistic_locking
      many_to_one :yard, class: 'Server::Models::Yard'
      many_to_one :unit_class, class: 'Server::Models::UnitClass'
      one_to_many :places, class: 'Server::Models::Place'
      one_to_many :fittings, class: 'Server::Models::Fitting'
      one_to_many :jobs, class: 'Server::Models::Job'

      EDITED = %i[number name kind yard_id system_volt arrangement battery_count usual_cranking_current_ampere alternator_rating_ampere
                  has_isolator has_sense regulator neutral_interlock grounding has_equaliser heat_aid control_unit automatic_start matters exposure
                  unit_class_id].freeze
      NUMBER_TAKEN = 'this number is taken'

      dataset_module do
        def standing(retired) = retired ? exclude(retired_at: nil) : where(retired_at: nil)
      end

      class << self
        # @param input [Hash] of Contracts::NewUnit
        # @return [Unit]
        def establish(input)
          electrical_system(input)
          in_number_guard { create(with_class(input)) }.tap(&:foreseen)
        end

        # Held until the transaction ends, in one order: nothing that is kept of them is worked out of what stood before another's write, and no
        # two wait for each other. What only refers to a unit does not wait.
        #
        # SQL: select id from unit where id in ? order by id for no key update
        #
        # @param ids [Array<String>]
        def one_after_another(ids) = where(id: ids).order(:id).lock_style('FOR NO KEY UPDATE').select_map(:id)

        # @param input [Hash] with make and model, or without
        # @return [Hash] with the class they are
        def with_class(input)
          return input unless input.key?(:make) || input.key?(:model)

          { **input.except(:make, :model), unit_class_id: UnitClass.named(input[:make], input[:model])&.id }
        end

        # Two units with one number: the database decides, the answer is a sentence.
        def in_number_guard(&block)
          db.transaction(savepoint: true, &block)
        rescue Sequel::UniqueConstraintViolation => e
          raise unless DatabaseErrors.violates?(e, 'unit_number_key')

          raise Refusals::InvalidInput.new('Another unit has this number', fields: { 'number' => [NUMBER_TAKEN] })
        end

        # @raise [Wattomneum::InvalidQuantityError] if the batteries do not go together
        def electrical_system(input)
          Wattomneum::Units::ElectricalSystem.new(
            **input.slice(:system_volt, :arrangement, :battery_count, :usual_cranking_current_ampere,
                          :alternator_rating_ampere, :has_isolator, :has_sense, :regulator, :neutral_interlock, :grounding, :has_equaliser)
          )
        end
      end

      # @param batteries [Hash{String => Wattomneum::Batteries::Battery}]
      # @return [Wattomneum::Units::ElectricalSystem]
      def core_system(batteries = {})
        Wattomneum::Units::ElectricalSystem.new(
          system_volt: system_volt, arrangement: arrangement, battery_count: battery_count, batteries: batteries,
          usual_cranking_current_ampere: usual_cranking_current_ampere, has_isolator: has_isolator,
          alternator_rating_ampere: alternator_rating_ampere, has_sense: has_sense, regulator: regulator, neutral_interlock: neutral_interlock,
          grounding: grounding, has_equaliser: has_equaliser, heat_aid: heat_aid
        )
      end

      # @param input [Hash] of Contracts::UnitEdit
      # @return [Unit]
      # @raise [Refusals::EditConflict] if somebody saved another version meanwhile
      def edit(input)
        self.class.electrical_system(input)
        refuse_stale!(input[:lock_version])
        self.class.in_number_guard { update(self.class.with_class(input.except(:lock_version))) }
        foreseen
      end

      # @return [Unit]
      # @raise [Refusals::InvalidInput] while a job is open
      def retire(at:)
        if Job.where(unit_id: id, state: %w[open parked]).any?
          raise Refusals::InvalidInput.new('It has an open job: close or cancel it first', fields: {})
        end

        update(retired_at: retired_at || at)
        self
      end

      # @return [Unit]
      def bring_back
        update(retired_at: nil)
        self
      end

      # @param input [Hash] of Contracts::NewFitting
      # @return [Unit]
      def fit_battery(input, at:)
        unless core_system.positions.include?(input[:position])
          raise Refusals::InvalidInput.new("This unit has no position #{input[:position]}",
                                           fields: { 'position' => ['not on this unit'] })
        end

        raise Refusals::InvalidInput.new('This unit is retired: bring it back first', fields: {}) if retired_at

        battery = input[:battery_id] ? from_the_shelf(input[:battery_id]) : Battery.establish(input[:battery], on: at.to_date)
        Fitting.place(unit_id: id, battery_id: battery.id, position: input[:position], at: at)
        foreseen
      end

      # @return [Unit]
      # @raise [Refusals::NotFound] if the position is empty
      def take_off(position, at:)
        fitting = Fitting.current.first(unit_id: id, position: position)
        raise Refusals::NotFound, "Position #{position} is empty already" if fitting.nil?

        fitting.end_at(at)
        foreseen
      end

      # What is kept of it beside its readings, worked out anew after something about it changed.
      #
      # @return [Unit]
      def foreseen
        StartThreshold.work_out(self)
        UnitStanding.work_out([id])
        self
      end

      # Nobody counts on more: a battery that stood so long is charged, not forecast (ours).
      MOST_NIGHTS = 60

      # @param since [Date, nil] the day it ran last; nil for one that runs
      # @param today [Date] by the clock of its yard
      # @return [Unit]
      # @raise [Refusals::InvalidInput] for a day that is yet to come
      def park(since, today:)
        if since && since > today
          raise Refusals::InvalidInput.new('That day is yet to come', fields: { 'since' => ["is after #{today.strftime('%-d %b')}"] })
        end

        tap { update(parked_since: since) } # an update that changes nothing gives nothing back
      end

      # @param parked_since [Date, nil]
      # @param dawn [Date]
      # @return [Integer] nights since it last ran, one for a unit that runs
      def self.nights_parked(parked_since, dawn) = parked_since ? (dawn - parked_since).to_i.clamp(1, MOST_NIGHTS) : 1

      private

      def from_the_shelf(battery_id)
        battery = Battery.for_update.first(id: battery_id)
        return battery if battery && battery.scrapped_at.nil?

        why = battery ? 'was scrapped' : 'is not on record'
        raise Refusals::InvalidInput.new('No such battery on the shelf: look at it again', fields: { 'battery_id' => [why] })
      end

      def theirs
        { **values.slice(*EDITED, :lock_version).except(:unit_class_id), **UnitClass.names_of(unit_class) }
      end

      def refuse_stale!(seen_version)
        return if seen_version == lock_version

        raise Refusals::EditConflict.new('Somebody else changed this unit meanwhile. Look at both and save again',
                                         details: { theirs: theirs })
      end
    end
  end
end
