# frozen_string_literal: true

module Wattomneum
  module Cranking
    # What an instrument wrote while an engine was cranked.
    module Trace
      # What a trace is worth: the start in it, what the same judges say of its settled figures that say it of a meter's, and what only a
      # trace shows.
      class Review
        # A sentence that only a trace can say, with its verdict.
        Remark = Struct.new(:verdict, :text, keyword_init: true)

        attr_reader :recording, :start, :cylinders

        # @param recording [Recording]
        # @param system [Units::ElectricalSystem]
        # @param cylinders [Integer, nil] of an even-firing four-stroke; nil where nobody said: then no speed is read from it
        # @param celsius [Float, nil] of batteries and engine
        # @param limits [Limits::Table]
        # @raise [InvalidQuantityError] if there is no start in it
        def initialize(recording, system:, cylinders: nil, celsius: nil, limits: Limits::Table.shipped)
          @recording = recording
          @system = system
          @cylinders = cylinders
          @celsius = celsius
          @limits = limits
          @start = Start.new(recording, system: system)
          @ripple = ripple
          freeze
        end

        # @return [Float, nil]
        def rpm = @ripple&.rpm

        # @return [Array<Float>, nil] see Ripple#shares
        def shares = @ripple&.shares

        # Formula: see Start and Ripple.
        #
        # @return [Hash{Symbol => Float, nil}] figures with units in their names
        def figures
          { before_volt: start.before_volt, lowest_volt: start.lowest_volt, settled_volt: start.settled_volt, peak_ampere: start.peak_ampere,
            settled_ampere: start.settled_ampere, rpm: rpm, bank_ohm: start.bank_ohm, second: start.second }
        end

        # What stands still settles too, and would foretell a start that never was: no ripple, no readings.
        #
        # @return [Boolean] whether the engine was seen to turn
        def turned? = !rpm.nil?

        # @return [Array<Readings::Reading>] what it settles at, as readings of the catalogue
        def readings
          [['posts_cranking', start.settled_volt], ['cranking_current', start.settled_ampere], ['cranking_speed', rpm]].filter_map do |key, value|
            Readings::Reading.new(id: key, test_key: key, taken_at: 0, value: value, conditions: conditions(key)) if value
          end
        end

        # @return [Array<Evidence::Judgement>]
        def judgements
          circumstances = Evidence::Circumstances.new(system: @system, readings: readings, limits: @limits)
          readings.map { |reading| Evidence::Judging.call(reading, circumstances) }
        end

        # @return [Array<Remark>]
        def remarks
          recording.remarks.map { |text| Remark.new(verdict: 'sound', text: text) } + [let_go, cut_off, not_settled, low_cylinder, no_speed].compact
        end

        # @return [String] the worst of what is said; unproven where nothing settled, or nothing of what settled could be judged
        def verdict
          judged = judgements.map(&:verdict)
          said = judged + remarks.map(&:verdict)
          WORST_FIRST.find { |one| said.include?(one) } || (judged.include?('sound') ? 'sound' : 'unproven')
        end

        WORST_FIRST = %w[act watch].freeze
        private_constant :WORST_FIRST

        private

        def ripple
          return if @cylinders.nil? || start.settled.nil?

          return ripple_of(recording.amperes[start.settled], load: start.settled_ampere) if recording.amperes

          ripple_of(recording.volts[start.settled].map(&:-@), load: sag_volt)
        end

        def ripple_of(values, load:) = Ripple.new(values, width_second: recording.width_second, load: load, cylinders: @cylinders)

        # Of a trace that begins within a start nobody knows it: a small one (ours).
        def sag_volt = start.before_volt ? start.before_volt - start.settled_volt : LEAST_SAG_SHARE * @system.system_volt

        LEAST_SAG_SHARE = 0.1
        private_constant :LEAST_SAG_SHARE

        def conditions(key)
          said = { 'battery_temperature_celsius' => @celsius, 'engine_temperature_celsius' => @celsius, 'engine_meanwhile' => meanwhile }
          of_posts = key == 'posts_cranking' ? { 'rest_volt' => start.before_volt, 'lowest_volt' => start.lowest_volt&.clamp(0.0, nil) } : {}
          said.merge(of_posts).compact
        end

        def meanwhile
          return unless turned?

          least = @limits.fetch(@system.heat_aid ? 'cranking.speed_least' : 'cranking.speed_least_without_aid').value
          rpm < least ? Evidence::EngineSaid::SLOW : Evidence::EngineSaid::CRANKS
        end

        def let_go
          return if start.lets_go.zero?

          times = start.lets_go == 1 ? 'once' : "#{start.lets_go} times"
          remark('act', "The solenoid lets go #{times} and takes again: a weak bank or a joint; test the batteries apart, read the drops")
        end

        def cut_off
          remark('sound', 'It cranked already as the trace began, or still as it ended: begin two seconds before the key') if start.cut_off?
        end

        def not_settled
          return if start.settled

          remark('unproven', "Cranked for #{Quantities::Figure.trim(start.second, 1)} s: too short or too restless to settle, crank five seconds")
        end

        def low_cylinder
          low = shares&.each_with_index&.select { |share, _| share < 100.0 - @limits.fetch('cranking.compression_low').value }
          return if low.nil? || low.empty?

          said = low.map { |share, index| "#{index + 1} of #{@cylinders} at #{Quantities::Figure.percent(share)}" }
          remark('watch', "Hump #{said.join(', ')} of their mean: low compression, have it measured before a starter or a bank is blamed " \
                          'for an uneven crank')
        end

        def no_speed
          return if start.settled.nil? || rpm
          return remark('sound', 'Say how many cylinders it has and its speed is read from the ripple') if @cylinders.nil?

          remark('unproven', 'No even humps: nothing shows that it turned. What it settles at is not kept as a reading')
        end

        def remark(verdict, text) = Remark.new(verdict: verdict, text: text)
      end
    end
  end
end
