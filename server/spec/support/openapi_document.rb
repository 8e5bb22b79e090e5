# frozen_string_literal: true

require 'json_schemer'
require 'yaml'

# The one description of the replies; every reply in server specs is held against it.
module OpenapiDocument
  CONTENT = YAML.safe_load_file(File.join(Server::ROOT, 'server/openapi.yml'))
  SCHEMER = JSONSchemer.openapi(CONTENT)

  # @return [Array<String>] what does not fit; empty when the reply is as described
  def self.objections(verb, path, status, body)
    template = CONTENT['paths'].keys.select { |key| matches?(key, path) }.max_by { |key| key.count('/') - key.count('{') }
    return ["#{path} is not described"] if template.nil?

    responses = CONTENT.dig('paths', template, verb.downcase, 'responses') or return ["#{verb} #{template} is not described"]
    response = responses[status.to_s] || responses['default'] or return ["#{verb} #{template} does not answer #{status}"]
    reference = response['$ref'] or return []
    SCHEMER.ref("#{reference}/content/application~1json/schema").validate(JSON.parse(body)).map { |error| error['error'] }.first(5)
  end

  def self.matches?(template, path)
    Regexp.new("\\A#{template.gsub(/\{\w+\}/, '[^/]+')}\\z").match?(path)
  end
  private_class_method :matches?
end
