# frozen_string_literal: true

require 'openssl'

module Server
  module Models
    # A write as it was asked for, and the answer it got: asked again, it answers the same and does nothing twice.
    class Request < Sequel::Model(:request)
      unrestrict_primary_key

      class << self
        # @param id [String] UUID made by the sender
        # @param person [Account]
        # @param text [String] what was asked, to tell a repetition from another request
        # @yieldreturn [Array(Integer, Hash)] status and reply
        # @return [Array(Integer, Hash)]
        # @raise [Refusals::RequestConflict] if the id was used for something else
        def once(id:, person:, text:, &write)
          digest = OpenSSL::HMAC.hexdigest('SHA256', CONFIG.session_secret, text) # keyed: a body may hold a password
          db.transaction do
            db.get(Sequel.function(:set_config, 'wattomneum.person_id', person.id.to_s, true))
            fresh = dataset.insert_conflict(target: :id).returning(:id)
                           .insert(id: id, person_id: person.id, body_digest: digest)
            fresh.to_a.empty? ? repeated(id, digest, person) : first_time(id, &write)
          end
        end

        private

        def first_time(id)
          status, reply = yield
          where(id: id).update(status: status, reply: Sequel.pg_jsonb(reply))
          [status, reply]
        end

        def repeated(id, digest, person)
          row = with_pk!(id)
          return [row.status, row.reply] if row.body_digest == digest && row.person_id == person.id

          raise Refusals::RequestConflict,
                'This was already sent with other content. Reload and look before sending again'
        end
      end
    end
  end
end
