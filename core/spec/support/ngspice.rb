# frozen_string_literal: true

require 'open3'

# Operating points by ngspice (Debian package): the reference that shares no line with core.
module Ngspice
  # @param cards [Array<String>] element lines of a netlist
  # @param asked [Array<String>] what to print: "v(a)", "i(v1)"
  # @return [Hash{String => Float}]
  def ngspice(cards, asked)
    deck = ['* operating point', *cards, '.control', 'set numdgt=12', 'op', *asked.map { |name| "print #{name}" }, 'quit', '.endc', '.end']
    output, status = Open3.capture2e('ngspice', '-b', stdin_data: "#{deck.join("\n")}\n")
    raise "ngspice failed: #{output}" unless status.success? || output.include?(' = ')

    asked.to_h do |name|
      line = output.lines.find { |text| text.start_with?("#{name} = ") } || raise("ngspice gave no #{name}: #{output}")
      [name, Float(line.split(' = ').last)]
    end
  end
end
