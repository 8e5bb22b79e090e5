# frozen_string_literal: true

require 'concurrent/atomic/atomic_reference'

# Stands between browser and application and does what networks do: loses a reply that was made, or lets nothing through.
class Interference
  MODES = %i[none lose_reply gateway_timeout].freeze
  WRITES = %w[POST PUT PATCH].freeze
  STATE = Concurrent::AtomicReference.new([:none, 0])

  # @param mode [Symbol] of MODES
  # @param times [Integer] how many writes it befalls
  def self.with(mode, times: 1) = STATE.set([mode, times])
  def self.stop = STATE.set([:none, 0])

  def initialize(app)
    @app = app
  end

  def call(env)
    mode = WRITES.include?(env['REQUEST_METHOD']) ? take : :none
    return gateway_timeout if mode == :gateway_timeout

    reply = @app.call(env)
    mode == :lose_reply ? gateway_timeout : reply
  end

  private

  def take
    taken = nil
    STATE.update do |mode, left|
      taken = left.positive? ? mode : :none
      [mode, [left - 1, 0].max]
    end
    taken
  end

  def gateway_timeout = [504, { 'content-type' => 'text/html' }, ['<h1>Gateway timeout</h1>']]
end
