# frozen_string_literal: true

module Wattomneum
  module Practice
    module Physics
      # A circuit gone through its key states in order, with what is bolted on: relays, fuses and the field of the alternator come to rest, or do
      # not; volts and ampere by Newton's method.
      class Settled
        MOST_ROUNDS = 40
        MOST_STEPS = 150
        CLOSE_VOLT = 1e-4
        LEAST_OHM = 1e-5
        # Volts of the rotor's winding that are enough to start, as a share of the system's; and what is enough for all it gives.
        STARTS_SHARE = 0.05
        FULL_FIELD_SHARE = 0.45
        MOST_OVER_VOLT = 3.0
        LIMITED_VOLT = 0.6
        # What a relay in this circuit pulls in at, against its label.
        PULL_SPREAD = 0.12

        # One state: volts by node, ampere by branch, relays that are pulled in, and whether it ever came to rest.
        Now = Struct.new(:volts, :amperes, :energised, :restless, :excited, keyword_init: true) do
          # @!group As a Truth asks for them
          # @return [Now]
          def solution = self
          # @return [Now]
          def positions = self
          # @return [Boolean]
          def chatters? = restless
          # @return [Float]
          def volt(node) = volts[node]
          # @return [Float] ampere
          def current(index) = amperes[index] || 0.0
          # @!endgroup

          # The meter hangs in the network itself: what leads nowhere shows nothing.
          def connected?(_one, _other) = true
        end

        # @return [Circuits::Circuit] for its nodes, branches and what they belong to
        attr_reader :circuit

        # @param circuit [Circuits::Circuit]
        # @param ohms [Hash{Integer => Float}] by branch, as they really are
        # @param bolted [Bolted]
        # @param blown [Array<String>] fuses that have gone; those that go are added
        # @param pull [Hash{String => Float}] by relay, what it pulls in at against its label
        # @param extra [Array<#from, #to, #ohm, #volt>] what else lies in it: instruments, rubbed places
        # @param opened [Array<Integer>] branches that are off
        def initialize(circuit, ohms:, bolted:, blown:, pull: {}, extra: [], opened: [])
          @circuit = circuit
          @ohms = ohms
          @bolted = bolted
          @blown = blown
          @pull = pull
          @extra = extra
          @opened = opened
          @net = Net.new(circuit.names.size)
          @results = {}
        end

        # @param extra [Array] what else lies in it
        # @param opened [Array<Integer>]
        # @return [Settled]
        def with(extra, opened)
          Settled.new(@circuit, ohms: @ohms, bolted: @bolted, blown: @blown, pull: @pull, extra: extra + @extra, opened: @opened | opened)
        end

        # @param state [String]
        # @return [Now]
        def fetch(state)
          @results[state] ||= begin
            names = circuit.sheet.states.keys
            at = names.index(state)
            settle(state, at.zero? ? [] : fetch(names[at - 1]).energised)
          end
        end

        private

        def owned = circuit.owned

        def settle(state, energised)
          driven = []
          excited = false
          seen = {}
          currents = {}
          MOST_ROUNDS.times do
            stand = [energised.sort, driven.sort, excited, @blown.size]
            now = solve(state, energised, driven, excited, currents)
            return to_and_fro(seen, stand) if seen.key?(stand)

            seen[stand] = now
            next if blow(now)

            following = [energised_by(now, energised), driven_by(now, state), excites?(now, state, excited)]
            return now if following == [energised, driven, excited]

            energised, driven, excited = following
          end
          raise ConvergenceError, "#{circuit.sheet.key}, #{state}: does not come to rest"
        end

        # A meter shows the middle of what goes to and fro; what pulls in at times is heard.
        def to_and_fro(seen, stand)
          cycle = seen.values.drop(seen.keys.index(stand))
          amperes = cycle.flat_map { |now| now.amperes.keys }.uniq
          Now.new(volts: cycle.map(&:volts).transpose.map { |volts| volts.sum / cycle.size }, restless: true,
                  amperes: amperes.to_h { |index| [index, cycle.sum { |now| now.current(index) } / cycle.size] },
                  energised: cycle.flat_map(&:energised).uniq, excited: cycle.all?(&:excited))
        end

        # -- what switches

        def relays = @relays ||= circuit.sheet.parts.grep(Circuits::Parts::Relay)
        def coils = @coils ||= owned.each_index.select { |index| owned[index].branch.name == 'coil' }.to_h { |index| [owned[index].part.id, index] }

        def energised_by(now, before)
          relays.filter_map do |relay|
            least = before.include?(relay.id) ? relay.drop_out_ampere : relay.pull_in_ampere * @pull.fetch(relay.id, 1.0)
            relay.id if now.current(coils.fetch(relay.id)).abs >= least
          end
        end

        def drivers
          @drivers ||= owned.each_index.select { |index| owned[index].branch.gate == :driven && owned[index].part != @bolted.alternator_part }
        end

        def driven_by(now, state)
          drivers.select do |index|
            driver = owned[index].branch.driver
            ground = now.volt(circuit.node(driver.ground))
            (driver.states.nil? || driver.states.include?(state)) &&
              driver.needs.all? { |need| now.volt(circuit.node(need.pin)) - ground >= need.least_volt }
          end
        end

        def blow(now)
          fuses = owned.each_index.select { |index| owned[index].branch.gate == :whole && !@blown.include?(owned[index].part.id) }
          index = fuses.max_by { |one| now.current(one).abs / owned[one].part.blows_ampere }
          return false if index.nil? || now.current(index).abs <= owned[index].part.blows_ampere

          @blown << owned[index].part.id
        end

        def rotor = @rotor ||= owned.each_index.find { |index| owned[index].part == @bolted.alternator_part && owned[index].branch.name == 'rotor' }
        def rotor_sound_ohm = owned[rotor].branch.ohm

        # It turns, and something magnetises it: through the lamp at first, itself from then on.
        def excites?(now, state, excited)
          return false unless @bolted.generator&.excites_itself? && rotor && turning?(state)
          return field(now) >= 1.5 * STARTS_SHARE if excited

          now.current(rotor).abs * rotor_sound_ohm >= STARTS_SHARE * circuit.sheet.system_volt * (fed_outside? ? 6 : 1)
        end

        def field(now) = now.current(rotor).abs * rotor_sound_ohm / circuit.sheet.system_volt
        def fed_outside? = @bolted.alternator_part.fields['field'] || false
        def turning?(state) = (@bolted.alternator_part.fields['active_in'] || ['running']).include?(state)

        # -- volts

        def devices = @devices ||= Devices.new(circuit, @bolted, ohms: @ohms, opened: @opened)
        def field_share(excited, currents) = excited ? [currents.fetch(:field, 1.0) / FULL_FIELD_SHARE, 1.0].min : nil

        def solve(state, energised, driven, excited, currents)
          ways = linear(state, energised, driven)
          over = 0.0
          now = nil
          (excited && senses? ? 8 : 1).times do
            now = newton(ways, devices.all(field_share(excited, currents), over), energised, excited, currents)
            break unless excited && senses?

            missing = @bolted.generator.setpoint - sensed(now)
            break if missing.abs < 0.005 || (missing.positive? && limited?(now, over))

            over = (over + missing).clamp(0.0, MOST_OVER_VOLT * circuit.sheet.system_volt / 12.0)
          end
          now
        end

        # It gives all it has: no regulator gets more out of it.
        def limited?(now, over) = now.volt(at('B+')) - now.volt(at('case')) < @bolted.generator.setpoint + over - LIMITED_VOLT
        def senses? = @bolted.alternator_part.fields['sense'] || false
        def sensed(now) = now.volt(at('S')) - now.volt(at('case'))
        def at(pin) = circuit.node(@bolted.alternator_part.node(pin))

        def linear(state, energised, driven)
          list = owned.each_index.filter_map do |index|
            next if @opened.include?(index) || replaced?(index) || !conducts?(index, state, energised, driven)

            [index, Net::Way.new(node(index, :from), node(index, :to), ohm(index), owned[index].branch.volt)]
          end
          more = @extra.each_with_index.map { |way, at| [owned.size + at, Net::Way.new(way.from, way.to, way.ohm, way.volt.to_f)] }
          list + more
        end

        def ohm(index) = [@ohms.fetch(index) { owned[index].branch.ohm }, LEAST_OHM].max
        def node(index, side) = circuit.node(owned[index].branch.public_send(side))

        def replaced?(index)
          one = owned[index]
          return false if one.part.nil? || one.ring_of

          @bolted.holds?(one.part.id) || (one.part == @bolted.alternator_part && one.branch.gate == :driven)
        end

        def conducts?(index, state, energised, driven)
          branch = owned[index].branch
          case branch.gate
          when :states then branch.states.include?(state)
          when :energised then energised.include?(owned[index].part.id)
          when :rest then !energised.include?(owned[index].part.id)
          when :driven then driven.include?(index)
          when :undriven then drivers.none? { |other| owned[other].part == owned[index].part && driven.include?(other) }
          when :whole then !@blown.include?(owned[index].part.id)
          when :forward then false
          else true
          end
        end

        def newton(ways, devices, energised, excited, currents)
          volts = nil
          MOST_STEPS.times do |step|
            tangents = devices.map { |one| Net::Way.new(one.from, one.to, *tangent(one.law, currents[one.index] || 0.0)) }
            volts = @net.solve(ways.map(&:last) + tangents)
            worst = 0.0
            devices.zip(tangents) do |one, way|
              across = volts[one.from] - volts[one.to]
              following = near((across - way.volt) / way.ohm, currents[one.index] || 0.0, step)
              worst = [worst, (one.law.call(following) - across).abs].max
              currents[one.index] = following
            end
            break if worst < CLOSE_VOLT
            raise ConvergenceError, "#{circuit.sheet.key}: no ampere found, #{worst.round(4)} V off" if step == MOST_STEPS - 1
          end
          booked(ways, devices, volts, energised, excited, currents)
        end

        # No farther at once than a third of it: a tangent far off its curve leads astray.
        def near(following, ampere, step)
          most = (0.35 * ampere.abs) + 15.0
          most /= 2 if step > 30
          ampere + (following - ampere).clamp(-most, most)
        end

        def tangent(law, ampere)
          step = [ampere.abs * 1e-5, 1e-7].max
          volt = law.call(ampere)
          ohm = [(law.call(ampere + step) - law.call(ampere - step)) / (2 * step), LEAST_OHM].max
          [ohm, volt - (ohm * ampere)]
        end

        def booked(ways, devices, volts, energised, excited, currents)
          amperes = ways.to_h { |index, way| [index, (volts[way.from] - volts[way.to] - way.volt) / way.ohm] }
          devices.map(&:index).each { |index| amperes[index] = currents[index] }
          now = Now.new(volts: volts, amperes: amperes, energised: energised, excited: excited, restless: false)
          currents[:field] = field(now) if excited
          now
        end
      end
    end
  end
end
