# frozen_string_literal: true

require 'digest'
require 'openssl'

module Server
  module Models
    # A write as it was asked for, and what it was about: asked again, it shows that and does nothing twice.
    class Request < Sequel::Model(:request)
      unrestrict_primary_key

      GIVEN_UP = 'given up'

      # What was asked, to tell a repetition from another request.
      class Asked
        SECRETS = %w[password current fresh].freeze
        SCRYPT = { N: 2**12, r: 8, p: 1, length: 32 }.freeze
        private_constant :SCRYPT

        attr_reader :id

        # @param id [String] UUID made by the sender
        # @param verb [String]
        # @param path [String]
        # @param body [Hash] as it was read
        def initialize(id:, verb:, path:, body:)
          @id = id
          @text = "#{verb} #{path} #{JSON.generate(body.to_h { |key, value| [key, SECRETS.include?(key) ? veiled(value) : value] })}"
        end

        # @return [String]
        def digest = Digest::SHA256.hexdigest(@text)

        private

        # A password is as hard to guess from this row as from its own: salted and slow.
        def veiled(value) = OpenSSL::KDF.scrypt(JSON.generate(value), salt: @id, **SCRYPT).unpack1('H*')
      end

      class << self
        # @param asked [Asked]
        # @param person [Account]
        # @yieldreturn [#id, nil] what it was about; nil where there is only one such thing
        # @return [#id, String, nil] the same, or its id where the write was done before
        # @raise [Refusals::RequestConflict] if the id was used for something else
        def once(asked, person:, &write)
          db.transaction do
            db.get(Sequel.function(:set_config, 'wattomneum.person_id', person.id.to_s, true))
            fresh = dataset.insert_conflict(target: :id).returning(:id)
                           .insert(id: asked.id, person_id: person.id, body_digest: asked.digest)
            fresh.to_a.empty? ? repeated(asked, person) : first_time(asked, &write)
          end
        end

        # Whether a request was done. Asking settles it: one that was not is given up; should it still be on its way, it comes too late,
        # so that what was changed since may go out under another id.
        #
        # @param id [String]
        # @param person [Account]
        # @return [Boolean]
        def saved?(id, person:)
          fresh = dataset.insert_conflict(target: :id).returning(:id).insert(id: id, person_id: person.id, body_digest: GIVEN_UP)
          return false if fresh.to_a.any?

          row = with_pk!(id)
          row.person_id == person.id && row.body_digest != GIVEN_UP
        end

        private

        def first_time(asked)
          about = yield
          where(id: asked.id).update(about_id: about.id.to_s) if about
          about
        end

        def repeated(asked, person)
          row = with_pk!(asked.id)
          return row.about_id if row.body_digest == asked.digest && row.person_id == person.id

          raise Refusals::RequestConflict,
                'This was already sent with other content. Reload and look before sending again'
        end
      end
    end
  end
end
