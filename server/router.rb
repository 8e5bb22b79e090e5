# frozen_string_literal: true

module Server
  # Finds the one resource that knows an address, and is the only place that answers an unknown one.
  class Router
    ALL = [Routes::Health, Routes::Session, Routes::Catalogue, Routes::Today, Routes::Find, Routes::Units, Routes::Batteries, Routes::Jobs,
           Routes::Readings, Routes::Repairs, Routes::HouseRules, Routes::People, Routes::Yards, Routes::Circuits, Routes::UnitCircuits,
           Routes::Grounds, Routes::Rounds, Routes::CrankTraces, Routes::Assets, Routes::Notices, Routes::AccessNotes, Routes::Sums,
           Routes::Mornings, Routes::Books, Routes::Drafts, Routes::Stops, Routes::Engines, Routes::Requests].freeze

    def initialize
      @apps = ALL.to_h { |resource| [resource, resource.new] }
      @addresses = ALL.flat_map do |resource|
        resource.routes.flat_map { |verb, known| known.map { |pattern, _| [verb, pattern, resource] } }
      end
    end

    # @param env [Hash]
    # @return [Array]
    def call(env)
      path = env['PATH_INFO']
      known = @addresses.select { |_, pattern, _| pattern.match(path) }
      found = known.find { |verb, _, _| verb == env['REQUEST_METHOD'] }
      return @apps.fetch(found.last).call(env) if found

      known.empty? ? ErrorReply.call(Refusals::NotFound.new('No such address')) : refused(known.map(&:first).uniq)
    end

    private

    def refused(verbs)
      status, headers, body = ErrorReply.call(Refusals::WrongVerb.new("This address answers #{verbs.join(', ')} only"))
      [status, headers.merge('allow' => verbs.join(', ')), body]
    end
  end
end
