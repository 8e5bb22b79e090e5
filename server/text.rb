# frozen_string_literal: true

module Server
  # Text as the database can keep it: UTF-8 without NUL.
  module Text
    # @param text [String]
    # @return [Boolean]
    def self.clean?(text)
      utf8 = text.encoding == Encoding::UTF_8 ? text : text.dup.force_encoding(Encoding::UTF_8)
      utf8.valid_encoding? && !utf8.include?("\0")
    end

    # @param text [String, nil] of any bytes
    # @param most [Integer] characters
    # @return [String] what can be kept and shown of it
    def self.shown(text, most = 40) = text.to_s.dup.force_encoding(Encoding::UTF_8).scrub('?').delete("\0")[0, most]
  end
end
