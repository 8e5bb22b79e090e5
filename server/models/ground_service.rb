# frozen_string_literal: true

module Server
  module Models
    # A ground point or strap read, and what was done to it. Append-only.
    class GroundService < Sequel::Model(:ground_service)
      unrestrict_primary_key
      CORE = Wattomneum
      DONE = { 'cleaned' => 'both faces and the ring to bright metal', 'replaced' => 'strap or ring replaced',
               'tightened' => 'to its torque', 'protected' => 'against damp, after assembly' }.freeze

      class << self
        # @param grounds [Queries::UnitGrounds]
        # @param item_uuid [String]
        # @param input [Hash] of Contracts::NewGroundService
        # @param by [Account]
        # @return [GroundService]
        # @raise [Refusals::NotFound] if the unit's circuit has no such ground
        # @raise [Refusals::InvalidInput, Refusals::Question] if a drop is none, or looks like volts
        def note(grounds, item_uuid, input, by:)
          place = grounds.place(item_uuid) || raise(Refusals::NotFound, 'No such ground on this unit: its sheets may have changed')
          drops = input.slice(:before, :after).to_h { |name, one| [name, in_field(name) { drop(grounds, place, name, one) }] }
          create(id: input[:id], unit_id: grounds.unit.id, item_uuid: item_uuid, label: place.label, person_id: by.id, note: input.fetch(:note, ''),
                 done: Sequel.pg_array(input.fetch(:done, []), :text), served_at: Sequel.function(:clock_timestamp),
                 **drops.flat_map { |name, one| one.map { |figure, value| [:"#{name}_#{figure}", value] } }.to_h)
            .tap { UnitStanding.work_out([grounds.unit.id]) }
        end

        # SQL: select distinct on (item_uuid) * from ground_service where unit_id = ? order by item_uuid, served_at desc
        #
        # @param unit_id [String]
        # @return [Hash{String => GroundService}] the last of each, by the ground's UUID
        def last_of(unit_id)
          where(unit_id: unit_id).distinct(:item_uuid).order(:item_uuid, Sequel.desc(:served_at)).as_hash(:item_uuid)
        end

        private

        # As the meter showed it: millivolts, unless another unit stands behind the figure.
        def drop(grounds, place, name, one)
          volt = CORE::Quantities::Entry.new(text: one[:text], unit: MILLIVOLT, quantity: 'voltage').value
          figures = { volt: volt, ampere: one[:ampere] }
          question = grounds.check(place, **figures).question
          ask(name, question) if question && !one[:confirmed] && CORE::Quantities::Typed.split(one[:text]).last.nil?
          figures
        end

        def ask(name, question)
          raise Refusals::Question.new(question.text, fields: { "#{name}.text" => [question.text] },
                                                      details: { question: question.to_h.merge(base_unit: 'V', test_key: name.to_s) })
        end

        FIELDS = { 'volt' => 'text', 'value_text' => 'text', 'unit' => 'text' }.freeze
        MILLIVOLT = 'mV'
        private_constant :FIELDS, :MILLIVOLT

        def in_field(name)
          yield
        rescue CORE::InvalidQuantityError => e
          field = "#{name}.#{FIELDS.fetch(e.field, e.field)}"
          raise Refusals::InvalidInput.new("#{name.to_s.capitalize}: #{e.message}", fields: { field => [e.message] })
        end
      end
    end
  end
end
