# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # What a complaint is followed from by belief: a component that should work in a situation, and does not.
      Subject = Struct.new(:part, :situation, keyword_init: true) do
        # @param machine [Circuits::Machine]
        # @param symptom [Jobs::Symptom]
        # @return [Subject, nil] nil where it is told otherwise: what stays on, what no battery feeds, charging. A start that is silent is
        #   followed from the solenoid
        def self.of(machine, symptom)
          return if symptom.stays_on? || machine.sheet.parts.grep(Circuits::Parts::Battery).all? { |one| one.fields['active_in'] }

          about = symptom.work == 'starting' ? of_a_start(machine.sheet) : said(machine.sheet, symptom)
          about if about.part && machine.consumers.needed(about.part).any?
        end

        # @!visibility private
        def self.said(sheet, symptom) = new(part: sheet.part(symptom.part.to_s), situation: symptom.situation)

        # @!visibility private
        def self.of_a_start(sheet)
          new(part: sheet.places['solenoid_terminal']&.then { |node| sheet.part(node.split(':', 2).first) }, situation: 'cranking')
        end
        private_class_method :said, :of_a_start

        # @param machine [Circuits::Machine]
        # @return [String] key state of the sheet
        def state(machine) = Circuits::Situations.on(machine.sheet, situation).sheet_state
      end
    end
  end
end
