# frozen_string_literal: true

# Requests as the browser sends them; every JSON reply is checked against the OpenAPI document.
module Requests
  HOST = 'http://127.0.0.1'
  APP = Server::App.build

  def app = APP

  def sign_in_as(role)
    account = Server::Models::Account.create(email: "#{role}#{SecureRandom.hex(4)}@spec.example", name: "Spec #{role}", role: role,
                                             password_hash: Server::Passwords.digest('long enough'))
    write(:post, '/api/sign-in', { login: account.email, password: 'long enough' })
    raise "sign-in failed: #{last_response.body}" unless status == 200

    account
  end

  def read(path)
    get "#{HOST}#{path}"
    checked('GET', path)
  end

  def write(verb, path, body = {}, request_id: SecureRandom.uuid, type: 'application/json')
    header 'Content-Type', type
    header 'Request-Id', request_id
    public_send(verb, "#{HOST}#{path}", body.is_a?(String) ? body : JSON.generate(body))
    checked(verb.to_s.upcase, path)
  end

  def status = last_response.status
  def error = JSON.parse(last_response.body).fetch('error')

  private

  def checked(verb, path)
    body = last_response.body
    return body unless last_response.content_type.to_s.start_with?('application/json')

    objections = OpenapiDocument.objections(verb, path.split('?').first, status, body)
    raise "#{verb} #{path} answered #{status} unlike its description: #{objections.join('; ')}\n#{body[0, 500]}" if objections.any?

    JSON.parse(body)
  end
end
