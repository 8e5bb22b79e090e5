# frozen_string_literal: true

module Server
  module Presenters
    class Engine
      # A kill circuit: its branches on the stud, how it goes together, what is seen to stop it, what comes next.
      class Kill
        ENTRY = Wattomneum::Ignition::Kill::Entry
        private_constant :ENTRY

        def self.call(kill, engine) = new(kill, engine).call

        # @param kill [Queries::Engine::KillSearch]
        # @param engine [Presenters::Engine]
        def initialize(kill, engine)
          @kill = kill
          @engine = engine
          @search = kill.search
        end

        def call
          { sheet: @kill.fitted.id, title: @kill.fitted.version.title, device: @kill.device, label: @kill.stop.label, stud: @kill.stop.stud,
            branches: @search.all.map { |one| branch(one) }, stages: stages, lost_at: @search.lost_at && ENTRY::STAGES.fetch(@search.lost_at),
            interlocks: @search.interlocks.map(&:to_h), watched: @search.watched?, proved: @search.proved?, next_step: next_step,
            log: @kill.rows.map { |row| @engine.line(row, words(row)) } }
        end

        private

        def branch(one)
          ohm = @search.ohm(one)
          { key: one.key, number: one.number, label: one.label, wire: one.wire, asked: one.asked, state: state(one), ohm: ohm && spoken(ohm) }
        end

        def state(one)
          return 'comes_and_goes' if @search.comes_and_goes?(one)
          return 'grounds' if @search.grounding.include?(one)

          @search.on.include?(one) ? 'on' : 'off'
        end

        def stages
          all = ENTRY::STAGES
          at = @search.all_on? ? all.keys.index(@search.stage) || all.size : 0
          all.each_with_index.map { |(key, label), index| { key: key, label: label, done: index < at } }
        end

        def next_step
          step = @search.next_step
          { **step.to_h.slice(:kind, :branch, :stage, :asked, :words), expect: step.expect, cautions: Engine.cautions(step.cautions) }
        end

        def spoken(ohm) = ohm >= ENTRY::OVER_RANGE_OHM ? 'OL' : Wattomneum::Quantities::Figure.ohm(ohm)

        def words(row)
          said = row.plain
          spark = said[:spark] ? 'spark' : 'no spark'
          case row.kind
          when 'begun' then 'Search begun'
          when 'lead_off' then "Kill lead off: #{spark}"
          when 'all_off' then "All branches off the stud: #{spark}"
          when 'branch_on' then "#{name(said[:branch])} onto the stud: #{spark}"
          when 'branch_ohm' then "#{name(said[:branch])} to the block: #{spoken(said[:ohm])}"
          when 'mended' then "#{name(said[:branch])} mended: #{said[:words]}"
          when 'watched' then "On watch: #{said[:words]}"
          when 'refit' then "#{ENTRY::STAGES.fetch(said[:stage])}: #{spark}"
          else "#{asked(said[:asked])} not tried: #{said[:words]}"
          end
        end

        def name(key)
          { ENTRY::LEAD => 'Lead to the stud', ENTRY::UNIT => 'Ignition unit' }.fetch(key) { @search.all.find { |one| one.key == key }&.label || 'A branch that is gone' }
        end

        def asked(key) = @search.interlocks.find { |one| one.key == key }&.label || key
      end
    end
  end
end
