# frozen_string_literal: true

module Server
  # What a field of a request is called where somebody reads of it.
  module FieldLabels
    TABLE = YAML.safe_load_file(File.join(__dir__, 'field_labels.yml')).freeze
    UNITS = { 'ampere_hour' => 'Ah', 'ampere' => 'A', 'volt' => 'V', 'ohm' => 'Ω', 'celsius' => '°C', 'mm2' => 'mm²', 'm' => 'm', 'minutes' => 'min',
              'seconds' => 's' }.freeze
    # A sentence that goes on from the name of its field; any other stands behind a colon.
    GOES_ON = /\A(is|are|must|lies|needs|takes|belongs|has|names|may|does|can)\b/
    private_constant :TABLE, :UNITS, :GOES_ON

    # @param field [String]
    # @param sentence [String] "is no number: write digits"
    # @return [String] both as one
    def self.said(field, sentence) = of(field) + (sentence.match?(GOES_ON) ? ' ' : ': ') + sentence

    # @param field [String] "usual_cranking_current_ampere"
    # @return [String] "Usual cranking current, A"
    def self.of(field)
      TABLE.fetch(field) do
        unit = UNITS.keys.find { |name| field.end_with?("_#{name}") }
        words = (unit ? field.delete_suffix("_#{unit}") : field).delete_suffix('_id').tr('_.', ' ')
        [words[0].to_s.upcase + words[1..].to_s, UNITS[unit]].compact.join(', ')
      end
    end
  end
end
