# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # The readings that the work along a path is made of.
      module Probes
        # Under this nothing is called for in that state.
        LEAST_VOLT = 1.0

        # @param consumer [Circuits::Consumer]
        # @param situation [String]
        # @return [Readings::Probe] volts across it
        def self.across(consumer, situation) = Readings::Probe.new(by: 'volts', from: consumer.from, to: consumer.to, situation: situation)

        # @param kase [Case]
        # @param situation [String]
        # @return [Readings::Probe] volts of the posts
        def self.posts(kase, situation)
          Readings::Probe.new(by: 'volts', from: kase.circumstances.positive_post, to: kase.circumstances.negative_post, situation: situation)
        end

        # @param sheet [Circuits::Sheet] with an alternator that its lamp excites
        # @return [Readings::Probe, nil] volts on its exciter terminal, plugged in, key on; nil where the sheet lacks a place for it
        def self.excited(sheet)
          from, to = sheet.places.values_at('excitation_terminal', 'alternator_case')
          Readings::Probe.new(by: 'volts', from: from, to: to, situation: 'key_on') if from && to
        end

        # @param kase [Case]
        # @param part [Circuits::Part]
        # @return [Readings::Probe] what it is seen to do
        def self.seen(kase, part)
          first = kase.machine.consumers.needed(part).first
          Readings::Probe.new(by: 'seen', from: first.from, to: first.to, situation: kase.symptom.situation)
        end
      end
    end
  end
end
