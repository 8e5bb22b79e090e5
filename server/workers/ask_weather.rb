# frozen_string_literal: true

module Server
  module Workers
    # Every half hour, a minute after it was silent: how cold the coming night gets in each yard, and how cold the last one was. A service
    # that does not answer leaves what it said last, with its age. Plans its own next run.
    class AskWeather < Que::Job
      EVERY_SECONDS = 1800
      # After it was silent.
      AGAIN_SECONDS = 60
      TURN = 'wattomneum.weather'

      # @param now [Time]
      def self.plan(now: Time.now.utc, at: now)
        return if CONFIG.weather_url.nil?

        DB.transaction do
          DB.get(Sequel.function(:pg_advisory_xact_lock, Sequel.function(:hashtext, TURN)))
          planned = DB[:que_jobs].where(job_class: name, finished_at: nil, expired_at: nil)
          enqueue(job_options: { run_at: at }) if planned.where { run_at >= now }.empty?
        end
      end

      # The one that is planned is brought forward.
      #
      # @param at [Time]
      def self.sooner(at)
        DB[:que_jobs].where(job_class: name, finished_at: nil, expired_at: nil).where { run_at > at }.update(run_at: at)
      end

      # @param weather [Weather]
      # @param now [Time]
      # @return [Array<String>] yards of which it said nothing
      def self.ask(weather, now: Time.now.utc)
        coming = Models::Night.dawns(now)
        today = Models::Yard.days(now)
        Models::Yard.all.filter_map do |yard|
          # The dawn after next too: in the morning it is this evening's.
          [coming.fetch(yard.id), coming.fetch(yard.id) + 1, today.fetch(yard.id)].uniq.each do |dawn|
            Models::Night.hear(yard, dawn, weather.night(yard.name, dawn))
          end
          nil
        rescue Outside::Silent => e
          warn "weather for #{yard.name}: #{e.message}"
          yard.name
        end
      end

      def run
        return if CONFIG.weather_url.nil?

        # The next one first: it comes whatever becomes of this one.
        self.class.plan(at: Time.now.utc + EVERY_SECONDS)
        silent = self.class.ask(Weather.new(CONFIG.weather_url))
        self.class.sooner(Time.now.utc + AGAIN_SECONDS) if silent.any?
      end
    end
  end
end
