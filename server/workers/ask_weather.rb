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

      # @param weather [Weather]
      # @param now [Time]
      # @return [Array<String>] yards of which it said nothing
      def self.ask(weather, now: Time.now.utc)
        coming = Models::Night.dawns(now)
        today = Models::Yard.days(now)
        Models::Yard.all.filter_map do |yard|
          [coming.fetch(yard.id), today.fetch(yard.id)].uniq.each { |dawn| Models::Night.hear(yard, dawn, weather.night(yard.name, dawn)) }
          nil
        rescue Weather::Silent => e
          warn "weather for #{yard.name}: #{e.message}"
          yard.name
        end
      end

      def run
        return if CONFIG.weather_url.nil?

        silent = self.class.ask(Weather.new(CONFIG.weather_url))
        self.class.plan(at: Time.now.utc + (silent.empty? ? EVERY_SECONDS : AGAIN_SECONDS))
      end
    end
  end
end
