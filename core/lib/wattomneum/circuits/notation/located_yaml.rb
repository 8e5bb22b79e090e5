# frozen_string_literal: true

require 'psych'

module Wattomneum
  module Circuits
    module Notation
      # Reads YAML that people typed, and remembers where each value stood, so that every objection has a line and a column.
      # Aliases, tags and oversized texts are refused before anything is built from them.
      class LocatedYaml
        # YAML words that become numbers or truth values; everything else stays text.
        INTEGER = /\A[-+]?\d{1,15}\z/
        DECIMAL = /\A[-+]?\d{1,15}\.\d+(?:[eE][-+]?\d{1,2})?\z/
        TRUTH = { 'true' => true, 'false' => false, 'null' => nil, '~' => nil, '' => nil }.freeze
        private_constant :INTEGER, :DECIMAL, :TRUTH

        # @return [Hash, Array, Object] the content
        attr_reader :content
        # @return [Array<Problem>]
        attr_reader :problems

        # @param text [String]
        def initialize(text)
          @problems = []
          @places = {}
          @content = read(text.to_s)
        end

        # @param path [Array<String, Integer>] keys from the top, as in ["wires", 3, "from"]
        # @return [Array(Integer, Integer)] line and column, from 1; those of the nearest value above where the path is missing
        def place(path)
          path = path[0...-1] until path.empty? || @places.key?(path)
          @places.fetch(path, [1, 1])
        end

        # @param path [Array<String, Integer>]
        # @param message [String]
        # @param way_out [String]
        # @return [Problem] at the place of that value
        def problem(path, message, way_out)
          line, column = place(path)
          Problem.new(line: line, column: column, message: message, way_out: way_out)
        end

        private

        def read(text)
          most = Budgets[:sheet_bytes]
          return refuse(1, 1, "larger than #{most / 1_000_000} MB", 'Split it into sheets') if text.bytesize > most

          tree = BoundedTree.new
          Psych::Parser.new(tree).parse(text)
          document, second = tree.root.children
          return refuse_at(second, 'a second sheet begins here', 'One file holds one sheet: take the line "---" out, or make two files') if second

          document ? build(document.root, []) : refuse(1, 1, 'the file is empty', 'Start from a sheet that was exported')
        rescue BoundedTree::TooMuch => e
          refuse(e.line, e.column, e.message, e.way_out)
        rescue Psych::SyntaxError => e
          refuse(e.line.to_i, e.column.to_i, "not readable as YAML: #{e.problem}", 'Look at the indentation and the quotes there')
        end

        def refuse(line, column, message, way_out)
          @problems << Problem.new(line: line, column: column, message: message, way_out: way_out)
          nil
        end

        def refuse_at(node, message, way_out) = refuse(node.start_line + 1, node.start_column + 1, message, way_out)

        def build(node, path)
          @places[path] = [node.start_line + 1, node.start_column + 1]
          case node
          when Psych::Nodes::Mapping then mapping(node, path)
          when Psych::Nodes::Sequence then node.children.each_with_index.map { |child, index| build(child, [*path, index]) }
          when Psych::Nodes::Scalar then scalar(node)
          else refuse_at(node, 'aliases are not read in sheets', 'Write the value out where it is used')
          end
        end

        def mapping(node, path)
          node.children.each_slice(2).with_object({}) do |(key, value), hash|
            name = key.respond_to?(:value) ? key.value : ''
            refuse_at(key, "\"#{name}\" stands here twice", 'Keep one of them') if hash.key?(name)
            hash[name] = build(value, [*path, name])
            @places[[*path, name]] = [key.start_line + 1, key.start_column + 1] unless value.is_a?(Psych::Nodes::Scalar)
          end
        end

        def scalar(node)
          text = node.value
          return refuse_at(node, "tags like #{node.tag} are not read in sheets", 'Write plain text or a number') if node.tag
          return text if node.quoted
          return TRUTH[text] if TRUTH.key?(text)
          return Integer(text, 10) if text.match?(INTEGER) && !text.match?(/\A[-+]?0\d/)

          text.match?(DECIMAL) ? text.to_f : text
        end
      end
    end
  end
end
