# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # What the judges of volts would use if it were said beside a reading: nobody in gloves is asked for more.
      module Asked
        # @param probe [Readings::Probe]
        # @param circumstances [Circumstances]
        # @return [Array<String>] keys of conditions; none where no reading between these points tells anything
        def self.of(probe, circumstances)
          case probe.by
          when 'ohms' then %w[voltage_across_volt reversed_ohm]
          when 'volts' then volts(probe, circumstances)
          else []
          end
        rescue RefusedError
          []
        end

        # Of the posts themselves, and of what should have none, only whether the meter can be believed.
        def self.volts(probe, circumstances)
          return %w[meter_proved] if circumstances.posts?(probe) || uncalled?(probe, circumstances)

          [*beside(probe, circumstances), *('load_on' if lamp_tells?(probe, circumstances))]
        end

        # Straight along one path it is a drop, scaled by its current; else it is held against the posts.
        def self.beside(probe, circumstances)
          path = circumstances.paths(probe).between(probe.from, probe.to)
          probe.opened.empty? && path.plain? && path.steps.any? ? %w[current_ampere] : %w[posts_now_volt meter_proved]
        end

        # Beside what a starter or an alternator moves, a lamp is nothing.
        def self.lamp_tells?(probe, circumstances)
          probe.opened.any? || Circuits::Situations.on(circumstances.machine.sheet, probe.situation).engine == 'stopped'
        end

        # Across something that is off in this state.
        def self.uncalled?(probe, circumstances)
          consumers = circumstances.uses.consumers
          consumer = consumers.across(probe.from, probe.to) and consumers.uncalled?(consumer, circumstances.state(probe))
        end
        private_class_method :volts, :beside, :lamp_tells?, :uncalled?
      end
    end
  end
end
