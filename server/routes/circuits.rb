# frozen_string_literal: true

module Server
  module Routes
    # Circuit sheets: which there are, which a unit has, and what is computed from them. An id is that of a sheet fitted to a unit,
    # of a version by itself, or of a unit: all its sheets as one circuit.
    class Circuits < Base
      # A sheet is one long text.
      SHEET = { most_bytes: Bounds[:sheet_body_bytes], most_characters: Bounds[:sheet_body_bytes] }.freeze
      # What may be said of a thing, and the parameter that lists where it is so.
      SAID = { **%w[dead weak runs low high].to_h { |word| [word, word] }, 'works' => 'working' }.freeze

      get '/api/circuits' do
        allow!(:read)
        newest = Models::SheetVersion.newest.eager(:sheet).all
        json(Presenters::Circuits::Library.call(newest, Queries::CircuitsByClass.new, Queries::UnansweredStops.new.rows))
      end

      post '/api/circuits' do
        allow!(:edit_circuits)
        once(201, :line, **SHEET) do
          input = contract!(Contracts::NewSheet, **SHEET)
          Models::Sheet.bring_in(input[:content], wires_csv: input[:wires_csv], by: person)
        end
      end

      get '/api/circuits/:id' do
        allow!(:read)
        json(table)
      end

      get '/api/circuits/:id/drawing' do
        allow!(:read)
        drawn(here.drawing, here.sheet, own: overrides.keys)
      end

      get '/api/circuits/:id/pin' do
        allow!(:read)
        worked_out { answers.pin(params['pin'].to_s, state) }
      end

      get '/api/circuits/:id/signal' do
        allow!(:read)
        worked_out { answers.signal(params['pin'].to_s) }
      end

      get '/api/circuits/:id/wire' do
        allow!(:read)
        worked_out { answers.wire(params['number'].to_s) }
      end

      get '/api/circuits/:id/opening' do
        allow!(:read)
        worked_out { answers.opening(params['item'].to_s) }
      end

      get '/api/circuits/:id/live' do
        allow!(:read)
        worked_out { answers.live(params['item'], state) }
      end

      get '/api/circuits/:id/common-cause' do
        allow!(:read)
        # What is no word of this sheet is said at once, not after the work.
        said = Wattomneum::Circuits::Questions::CommonCause::Said.all(machine.circuit, SAID.transform_values { |name| listed(name) })
        going_on = unit ? Queries::Causes.bit_by_bit(machine, by: person) : Queries::Causes.new(machine, version, overrides, by: person).progress
        next worked_out { answers.common_cause(said) } if going_on.nil?

        status 202
        json(progress: going_on.to_h)
      end

      get '/api/circuits/:id/sheet.yml' do
        allow!(:read)
        attachment "#{machine.sheet.key}.yml"
        content_type 'application/yaml', charset: 'utf-8'
        Wattomneum::Circuits::Notation::SheetWriter.write(machine.sheet)
      end

      get '/api/circuits/:id/wires.csv' do
        allow!(:read)
        attachment "#{machine.sheet.key}-wires.csv"
        content_type 'text/csv', charset: 'utf-8'
        Wattomneum::Circuits::Notation::WireList.write(machine.sheet.wires)
      end

      get '/api/circuits/:id/versions' do
        allow!(:read)
        json(versions)
      end

      get '/api/circuits/:id/difference' do
        allow!(:read)
        other = Models::SheetVersion.with_pk(id_param(:to)) || raise(Refusals::NotFound, 'No such version to compare with')
        json(changes: Queries::Machines.asked_by(person) do
          Presenters::Circuits::Difference.call(*[version, other].map do |one|
            Queries::Machines.of(one).sheet
          end)
        end)
      end

      post '/api/circuits/:id/units' do
        allow!(:edit_circuits)
        once(200, :versions) do
          Models::CircuitWork.move(version, contract!(Contracts::UnitsToMove)[:units], at: Time.now.utc)
          nil
        end
      end

      get '/api/circuits/:id/facts' do
        allow!(:read)
        json(facts(id_param(:item)))
      end

      get '/api/circuits/:id/own-facts' do
        allow!(:read)
        json(Presenters::Circuits::OwnFacts.new(here).all)
      end

      post '/api/circuits/:id/own-facts' do
        allow!(:edit_circuits)
        once(201, :facts_said) do
          raise Refusals::NotFound, 'No such sheet on a unit' if fitted.nil?

          hold!(Models::UnitSheet.dataset.eager(version: :sheet), id_param, 'sheet on a unit').differ(contract!(Contracts::NewOwnFact), by: person)
          remove_instance_variable(:@here)
          nil
        end
      end

      private

      def table = Queries::Machines.asked_by(person) { Presenters::Circuits::SheetTable.call(machine, head) }

      def line(about)
        id = about.is_a?(String) ? about : about.id
        Presenters::Circuits::SheetLine.call(Models::SheetVersion.where(id: id).eager(:sheet).first)
      end

      def facts(item) = Presenters::Circuits::OwnFacts.new(here).of(item)
      def facts_said = facts(payload['item'])
      def versions = Presenters::Circuits::Versions.call(version.sheet, Queries::UnitsOfSheet.new(version.sheet_id))
      def worked_out(&question) = json(Queries::Machines.asked_by(person, &question))

      # Whose whole circuit is asked about; nil where the id is that of a sheet.
      def unit
        @unit = Models::Unit.with_pk(id_param) unless defined?(@unit)
        @unit
      end

      def circuits = @circuits ||= Queries::UnitCircuits.new(id_param)

      def here = @here ||= Queries::SheetToRead.by_id(id_param)
      def version = here.version
      def overrides = here.overrides
      # nil where the id is that of a version by itself, or of a unit.
      def fitted = unit ? nil : here.fitted
      def machine = unit ? Queries::Machines.asked_by(person) { circuits.whole.machine } : here.machine
      def answers = Presenters::Circuits::Answers.new(machine)
      def state = params['state'] || machine.sheet.states.keys.last
      def listed(name) = params[name].to_s.split(',').map(&:strip).reject(&:empty?)

      def head
        lines = Presenters::Circuits::SheetLine
        line = unit ? lines.whole(unit, machine.sheet, circuits.readable) : lines.call(version, fitted: fitted)
        on = unit || fitted&.unit
        line.merge(unit: on && { id: on.id, number: on.number, name: on.name }, lock_version: fitted&.lock_version,
                   joined: unit ? circuits.whole.titles : [], **noted(on))
      end

      # On a unit its drawing is read as that unit is grounded; the whole unit cranks as it was last seen to.
      def noted(on)
        notes = [*(Presenters::Circuits::BoltedOn.grounding(on) if on), *cranked, *machine.sheet.note].compact
        notes.any? ? { note: notes.join('. ') } : {}
      end

      def cranked
        found = unit && circuits.crank_test
        Presenters::Circuits::BoltedOn.call(found, Models::Yard.day_of(found.taken_at, circuits.time_zone)) if found
      end
    end
  end
end
