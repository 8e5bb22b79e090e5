# frozen_string_literal: true

# How the benches talk to the running server.
require 'net/http'
require_relative '../server/boot'
require_relative '../demo/load'

def wait_for_server
  100.times do
    return if Net::HTTP.get_response(URI("http://127.0.0.1:#{ENV.fetch('PORT')}/health")).is_a?(Net::HTTPSuccess)
  rescue SystemCallError
    sleep 0.1
  end
  abort 'The server did not answer; see var/log/bench-puma.log'
end

# One client with its own connection and cookie.
class Client
  def initialize
    @http = Net::HTTP.start('127.0.0.1', ENV.fetch('PORT').to_i)
    reply = post('/api/sign-in', { login: 'electrician@skarrow.example', password: Demo::PASSWORD })
    @cookie = reply['set-cookie'].split(';').first
  end

  def get(path) = checked(@http.get(path, { 'cookie' => @cookie }))

  def post(path, body)
    headers = { 'content-type' => 'application/json', 'request-id' => SecureRandom.uuid, 'cookie' => @cookie.to_s }
    checked(@http.post(path, JSON.generate(body), headers))
  end

  private

  def checked(reply)
    raise "#{reply.code}: #{reply.body[0, 200]}" unless reply.is_a?(Net::HTTPSuccess)

    reply
  end
end
