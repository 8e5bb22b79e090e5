# frozen_string_literal: true

require 'digest'
require 'ipaddr'

module Server
  module Models
    # Wrong passwords, and how long the next try has to wait: nothing for the first ones, then longer each time, up to half an hour.
    #
    # They are counted for a person at a device that they have used before; for strangers by the e-mail that was typed, whether somebody has it or
    # not, together with the network they come from, and for that network over all e-mails. So a stranger on the yard's network shuts out strangers
    # alone: neither the person whose e-mail they know, nor the yard. What was typed is kept as a digest: it may be a password in the wrong field.
    class SignInTry < Sequel::Model(:sign_in_try)
      unrestrict_primary_key
      IPV6_NETWORK_BITS = 64
      FREE = { 'device' => Bounds[:sign_in_tries], 'stranger' => Bounds[:sign_in_tries], 'change' => Bounds[:sign_in_tries],
               'network' => Bounds[:sign_in_tries_of_a_network] }.freeze
      WHERE = { 'device' => 'for this e-mail on this device', 'stranger' => 'for this e-mail from this network',
                'network' => 'from this network', 'change' => 'of the password you have now' }.freeze
      FIRST_SECONDS = Bounds[:sign_in_first_wait_seconds]
      LONGEST_SECONDS = Bounds[:sign_in_longest_wait_minutes] * 60
      FORGOTTEN_SECONDS = Bounds[:sign_in_memory_hours] * 3600
      private_constant :WHERE, :FIRST_SECONDS, :FORGOTTEN_SECONDS

      class << self
        # Counted before the password is looked at, so that a hundred at once are a hundred.
        #
        # @param login [String] as it is looked up
        # @param from [Hash] client_address, and the token of the device where it has one
        # @param now [Time]
        # @raise [Refusals::Locked] if there were too many
        def note(login:, from:, now:) = note_all(keys(login, from), now)

        # After the right password: whoever it was starts anew, and the network has not guessed this time.
        def forget(login:, from:)
          keys(login, from).each do |kind, key|
            row = where(kind: kind, key: key)
            kind == 'network' ? row.update(count: Sequel.function(:greatest, Sequel[:count] - 1, 0), closed_until: nil) : row.delete
          end
        end

        # The password that somebody types to change it, by whoever has the session.
        #
        # @param account [Account]
        # @yieldreturn [Object] what the block made, where the password was right
        # @raise [Refusals::Locked]
        def of_change(account, now:)
          key = { 'change' => account.id.to_s }
          note_all(key, now)
          yield.tap { where(kind: 'change', key: key.fetch('change')).delete }
        end

        # @param login [String]
        # @return [void]
        def release(login) = where(kind: 'stranger').where(Sequel.like(:key, "#{Digest::SHA256.hexdigest(login)} %")).delete

        private

        def note_all(keys, now)
          closed = db.transaction(savepoint: true) { keys.filter_map { |kind, key| count(kind, key, now) } }.max_by(&:last)
          refuse(*closed) if closed
        end

        def keys(login, from)
          network = network(from[:client_address])
          typed = Digest::SHA256.hexdigest(login)
          known = KnownDevice.of(login, from[:token])
          return { 'device' => "#{typed} #{known}" } if known

          { 'stranger' => "#{typed} #{network}", **(released?(login) ? {} : { 'network' => network }) }
        end

        # Whom a lead has let in is not kept out by who else comes from there.
        def released?(login) = Account.where(email: login).where { released_until > Time.now.utc }.any?

        # Whoever has one IPv6 address has all of its network.
        def network(client_address)
          address = IPAddr.new(client_address)
          address.ipv6? ? address.mask(IPV6_NETWORK_BITS).to_s : address.to_s
        rescue IPAddr::Error
          'unknown'
        end

        # One try more, unless it is closed; a try at a closed door makes nobody wait longer.
        #
        # SQL: insert into sign_in_try ... on conflict do nothing; select * from sign_in_try where kind = ? and key = ? for update
        #
        # @return [Array(String, Float), nil] kind and seconds to wait; nil where it is open
        def count(kind, key, now)
          dataset.insert_conflict.insert(kind: kind, key: key, count: 0, wrong_at: now)
          row = for_update.first(kind: kind, key: key)
          return [kind, row.closed_until - now] if row.closed_until && row.closed_until > now

          tries = row.wrong_at < now - FORGOTTEN_SECONDS ? 1 : row.count + 1
          where(kind: kind, key: key).update(count: tries, wrong_at: now, closed_until: wait(kind, tries)&.then { |seconds| now + seconds })
          nil
        end

        # Formula: the first wait, doubled with every try beyond the free ones.
        def wait(kind, tries)
          beyond = tries - FREE.fetch(kind)
          [FIRST_SECONDS * (2**[beyond, 20].min), LONGEST_SECONDS].min unless beyond.negative?
        end

        def refuse(kind, seconds)
          words = seconds > 90 ? "#{(seconds / 60.0).ceil} min" : "#{[seconds.ceil, 1].max} s"
          ask = kind == 'change' ? '' : '. Who is signed in can go on working, and a lead can let you in'
          raise Refusals::Locked.new("Too many wrong tries #{WHERE.fetch(kind)}: wait #{words}#{ask}", retry_after_seconds: [seconds.ceil, 1].max)
        end
      end
    end
  end
end
