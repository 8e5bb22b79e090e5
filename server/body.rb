# frozen_string_literal: true

module Server
  # A request's body as a JSON object, within bounds that are checked before or while it is read, never after.
  module Body
    # @param input [#read, nil] the stream
    # @param most_bytes [Integer]
    # @param most_characters [Integer] of one text in it
    # @return [Hash]
    # @raise [Refusals::BadRequest] if it is none, or larger than allowed
    def self.read(input, most_bytes: Bounds[:body_bytes], most_characters: Bounds[:text_characters])
      raw = String.new(input&.read(most_bytes + 1).to_s, encoding: Encoding::UTF_8)
      raise Refusals::TooLarge, "The request is larger than #{most_bytes / 1024} kB" if raw.bytesize > most_bytes
      raise Refusals::BadRequest, 'The request is not text in UTF-8' unless Text.clean?(raw)

      object(raw).tap { |parsed| check(parsed, most_characters) }
    rescue NumberTooLarge => e
      raise Refusals::InvalidInput.new('A number in it is larger than any can be', fields: { e.message => ['is too large'] })
    end

    # Its message names the field.
    class NumberTooLarge < StandardError; end
    private_constant :NumberTooLarge

    def self.object(raw)
      parsed = JSON.parse(raw, max_nesting: Bounds[:json_depth])
      return parsed if parsed.is_a?(Hash)

      raise Refusals::BadRequest, 'The request must be a JSON object'
    rescue JSON::NestingError
      raise Refusals::BadRequest, "The request is nested deeper than #{Bounds[:json_depth]} levels"
    rescue JSON::ParserError
      raise Refusals::BadRequest, 'The request is not readable JSON'
    end

    def self.check(value, most_characters, field = 'body')
      case value
      when Hash
        count!(value.size)
        value.each { |key, inner| [key, inner].each { |one| check(one, most_characters, key) } }
      when Array
        count!(value.size)
        value.each { |inner| check(inner, most_characters, field) }
      when Float
        raise NumberTooLarge, field unless value.finite?
      when String
        raise Refusals::BadRequest, 'A text in it holds a sign with number zero: take it out' if value.include?("\0")
        raise Refusals::TooLarge, "A text in it is longer than #{most_characters} characters" if value.size > most_characters
      end
    end

    def self.count!(size)
      raise Refusals::TooLarge, "A list in it has more than #{Bounds[:list_items]} entries" if size > Bounds[:list_items]
    end
    private_class_method :object, :check, :count!
  end
end
