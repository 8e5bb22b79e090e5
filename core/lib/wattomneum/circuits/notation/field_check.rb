# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Notation
      # Holds named fields against what their table says they may be, and reads the numbers in them.
      class FieldCheck
        STEPS_A_FIELD = 5
        private_constant :STEPS_A_FIELD
        UUID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/i

        # @return [Array<Problem>]
        attr_reader :problems

        # @param document [LocatedYaml]
        # @param states [Array<String>] key states of the sheet
        def initialize(document, states:)
          @document = document
          @states = states
          @problems = []
        end

        # @param fields [Hash{String => Object}] as written
        # @param rules [Hash{String => Hash}] a row of core/data/part_kinds.yml
        # @param path [Array] where they stand
        # @param owner [String] whose they are, "relay K1"
        # @return [Hash{String => Object}, nil] the same with its numbers read; nil where something is wrong
        def read(fields, rules, path, owner)
          before = problems.size
          (fields.keys - rules.keys).each { |name| surplus(name, rules, path, owner) }
          rules.select { |name, rule| rule['required'] && fields[name].nil? }.each_key do |name|
            wrong(path, "#{owner} has no #{name}", "Add \"#{name}:\"")
          end
          clean = fields.to_h do |name, value|
            [name, rules[name] && !value.nil? ? value_of(value, rules[name], [*path, name], "#{owner} #{name}") : value]
          end
          clean if problems.size == before
        end

        # @return [nil]
        def wrong(path, message, way_out)
          problems << @document.problem(path, message, way_out)
          nil
        end

        private

        # "{ ohm: 12,6 }" reads as 12 and a field called 6.
        def surplus(name, rules, path, owner)
          return wrong(path, "#{owner} has a comma before \"#{name}\"", 'In { } a comma parts fields: write 12.6, or "12,6" in quotes') if
            name.match?(/\A\d+\z/)

          wrong([*path, name], "#{owner} has no \"#{name}\"", "It may have #{rules.keys.join(', ')}")
        end

        def value_of(value, rule, path, name)
          Effort.spend!(STEPS_A_FIELD)
          send(:"read_#{rule['type']}", value, rule, path, name)
        end

        def read_text(value, _rule, path, name)
          return value if value.is_a?(String) || value.is_a?(Numeric)

          wrong(path, "#{name} is a word or a name", 'Write it as text, in quotes where it holds signs')
        end

        def read_uuid(value, _rule, path, name)
          value.to_s.match?(UUID) ? value : wrong(path, "#{name} is no UUID", 'Leave it out, and one is given')
        end

        def read_number(value, rule, path, name)
          number = Number.read(value)
          return wrong(path, "#{name} is a number, got \"#{value}\"", 'Write digits, as in 12.6') if number.nil?
          return wrong(path, "#{name} is a whole number, got #{value}", 'Write digits alone') if rule['whole'] && number != number.to_i
          return number if number.between?(rule['least'], rule['most'])

          wrong(path, "#{name} is #{rule['least']} to #{rule['most']}, got #{value}", 'Look at the unit in its name')
        end

        def read_states(value, _rule, path, name)
          odd = Array(value).map(&:to_s) - @states
          return value if value.is_a?(Array) && odd.empty?

          wrong(path, "#{name} names key states; #{odd.first || value} is none", "States here: #{@states.join(', ')}")
        end

        # Names that differ from one another: pins, ways, codes.
        def read_names(value, rule, path, name)
          return wrong(path, "#{name} is a list of names", 'Write it in square brackets') unless
            value.is_a?(Array) && value.all? { |one| one.is_a?(String) || one.is_a?(Numeric) }

          names = value.map(&:to_s)
          twice = names.find { |one| names.count(one) > 1 }
          return wrong(path, "#{name} has #{twice} twice", 'Keep one of them') if twice
          return value if value.size.between?(rule.fetch('least', 0), rule.fetch('most', Float::INFINITY))

          wrong(path, "#{name} are #{rule['least']} to #{rule['most']}, got #{value.size}", 'Look at the drawing')
        end

        def read_map(value, _rule, path, name)
          value.is_a?(Hash) ? value : wrong(path, "#{name} has names and values", 'Write "{ 1: 86, 2: 85 }"')
        end

        def read_yes_no(value, _rule, path, name)
          [true, false].include?(value) ? value : wrong(path, "#{name} is true or false, got #{value}", 'Write true or false')
        end

        def read_one_of(value, rule, path, name)
          rule['words'].include?(value) ? value : wrong(path, "#{name} is #{rule['words'].join(', ')}, got #{value}", 'Choose one')
        end

        def read_rows(value, rule, path, name)
          return wrong(path, "#{name} are a list", "Write \"- { #{rule['of'].keys.first(2).map { |key| "#{key}: ..." }.join(', ')} }\"") unless
            value.is_a?(Array) && value.any?

          value.each_with_index.map do |row, index|
            next wrong([*path, index], "#{name} are sets of named fields", 'Write it in curly brackets') unless row.is_a?(Hash)

            read(row, rule['of'], [*path, index], "#{name} #{row.values.first}")
          end
        end
      end
    end
  end
end
