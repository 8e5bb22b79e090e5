# frozen_string_literal: true

module Server
  # What the database refused, in words for whoever asked. Its constraints are the last net: what gets this far was let through by the
  # contract and by core, and is still the sender's to mend.
  module DatabaseErrors
    ON_RECORD = 'This is on record already under the same id. Look whether it was saved, and send it anew if it was not'
    OUT_OF_RANGE = 'A value lies outside of what can be kept'
    MEANWHILE = 'Somebody else changed this meanwhile. Look at it and save again'
    BUSY = 'Somebody else is saving at this place just now. What you typed is kept; try again'
    AWAY = 'The database does not answer just now. What you typed is kept; try again'
    RETRY_SECONDS = 2
    OUT_OF_RANGE_CLASSES = [PG::NumericValueOutOfRange, PG::DatetimeFieldOverflow, PG::InvalidDatetimeFormat, PG::InvalidTextRepresentation,
                            PG::CharacterNotInRepertoire, PG::UntranslatableCharacter, PG::StringDataRightTruncation].freeze

    AWAY_CLASSES = [Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError].freeze

    # @param error [Sequel::Error]
    # @return [Boolean]
    def self.away?(error) = AWAY_CLASSES.any? { |type| error.is_a?(type) }

    # @param error [Sequel::Error]
    # @return [Refusals::Refusal, nil] nil where it is our own fault
    def self.refusal(error)
      case error
      when Sequel::NoExistingObject then Refusals::EditConflict.new(MEANWHILE)
      when Sequel::UniqueConstraintViolation then Refusals::IdTaken.new(ON_RECORD)
      when Sequel::ForeignKeyConstraintViolation then not_there(error)
      when Sequel::CheckConstraintViolation then Refusals::InvalidInput.new(OUT_OF_RANGE)
      when Sequel::DatabaseLockTimeout, Sequel::SerializationFailure then Refusals::Later.new(BUSY, retry_after_seconds: RETRY_SECONDS)
      when *AWAY_CLASSES, Sequel::PoolTimeout
        Refusals::Later.new(AWAY, retry_after_seconds: RETRY_SECONDS)
      else Refusals::InvalidInput.new(OUT_OF_RANGE) if OUT_OF_RANGE_CLASSES.any? { |type| error.wrapped_exception.is_a?(type) }
      end
    end

    # @param error [Sequel::ConstraintViolation]
    # @param constraint [String] its name in the schema
    # @return [Boolean] whether that is what was violated
    def self.violates?(error, constraint) = named(error, PG::Result::PG_DIAG_CONSTRAINT_NAME) == constraint

    def self.named(error, field) = error.wrapped_exception.result&.error_field(field).to_s

    # The constraint is named table_column_fkey.
    def self.not_there(error)
      constraint = named(error, PG::Result::PG_DIAG_CONSTRAINT_NAME)
      table = named(error, PG::Result::PG_DIAG_TABLE_NAME)
      field = constraint.delete_prefix("#{table}_").delete_suffix('_fkey')
      Refusals::InvalidInput.new('It names something that is not on record', fields: field.empty? ? {} : { field => ['is not on record'] })
    end
    private_class_method :named, :not_there
  end
end
