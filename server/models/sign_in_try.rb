# frozen_string_literal: true

require 'digest'
require 'ipaddr'

module Server
  module Models
    # Wrong passwords within a window, counted for the e-mail that was typed, whether somebody has it or not, and for the network
    # address they came from. What was typed is kept as a digest: it may be a password in the wrong field.
    class SignInTry < Sequel::Model(:sign_in_try)
      unrestrict_primary_key
      MOST = { 'login' => Bounds[:sign_in_tries], 'client' => Bounds[:sign_in_tries_of_a_client] }.freeze
      WINDOW_SECONDS = Bounds[:sign_in_window_minutes] * 60
      IPV6_NETWORK_BITS = 64

      class << self
        # Counted before the password is looked at, so that a hundred at once are a hundred.
        #
        # @param login [String] as it is looked up
        # @param client_address [String]
        # @param now [Time]
        # @raise [Refusals::Locked] if there were too many
        def note(login:, client_address:, now:)
          keys(login, client_address).each do |kind, key|
            row = count(kind, key, now)
            refuse(kind, row[:since] + WINDOW_SECONDS - now) if row[:count] > MOST.fetch(kind)
          end
        end

        # After the right password: this address starts anew, and the client has not guessed this time.
        def forget(login:, client_address:)
          keys = keys(login, client_address)
          where(kind: 'login', key: keys['login']).delete
          where(kind: 'client', key: keys['client']).update(count: Sequel.function(:greatest, Sequel[:count] - 1, 0))
        end

        private

        def keys(login, client_address)
          { 'login' => Digest::SHA256.hexdigest(login), 'client' => network(client_address) }
        end

        # Whoever has one IPv6 address has all of its network.
        def network(client_address)
          address = IPAddr.new(client_address)
          address.ipv6? ? address.mask(IPV6_NETWORK_BITS).to_s : address.to_s
        rescue IPAddr::Error
          'unknown'
        end

        # SQL: insert into sign_in_try ... on conflict (kind, key) do update set count = 1 or count + 1, since = now or since
        def count(kind, key, now)
          over = Sequel[:sign_in_try][:since] <= now - WINDOW_SECONDS
          update = { count: Sequel.case([[over, 1]], Sequel[:sign_in_try][:count] + 1),
                     since: Sequel.case([[over, now]], Sequel[:sign_in_try][:since]) }
          dataset.returning(:count, :since).insert_conflict(target: %i[kind key], update: update)
                 .insert(kind: kind, key: key, since: now).first
        end

        def refuse(kind, seconds)
          minutes = [(seconds / 60.0).ceil, 1].max
          whose = kind == 'login' ? 'for this e-mail' : 'from this network'
          raise Refusals::Locked.new("Too many wrong tries #{whose}: wait #{minutes} min. Who is signed in already can go on working",
                                     retry_after_seconds: minutes * 60)
        end
      end
    end
  end
end
