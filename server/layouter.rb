# frozen_string_literal: true

require 'open3'

module Server
  # The program that finds out where everything on a sheet comes to lie: a process of its own, kept warm, asked one sheet at a time. It ends by
  # itself when it is not asked for a while, and is started anew when it is.
  class Layouter
    # It did not answer, or not with a drawing; says which in words.
    class NoDrawingError < StandardError; end

    PROGRAM = File.join(ROOT, 'drawing', 'lib', 'worker.js')
    SOURCES = (Dir[File.join(ROOT, 'drawing', 'lib', '**', '*.js')] + Dir[File.join(ROOT, 'core/lib/wattomneum/circuits/drawing/*.rb')] +
               [File.join(ROOT, 'drawing', 'package-lock.json')]).sort.freeze
    # Of what draws: another one draws another picture.
    SIGNATURE = Digest::SHA256.hexdigest(SOURCES.map { |file| File.read(file) }.join).freeze
    # Memory of its process, beyond which a sheet is too large for it.
    MEGABYTES = 1_024
    private_constant :PROGRAM, :SOURCES, :MEGABYTES

    # @param seeds [Integer] tries, of which the best is kept
    # @param milliseconds [Integer] after which no further try begins
    # @param deadline_s [Numeric] after which it is ended
    # @param command [Array<String>]
    def initialize(seeds: 4, milliseconds: 6_000, deadline_s: Bounds[:layout_seconds],
                   command: ['node', "--max-old-space-size=#{MEGABYTES}", PROGRAM])
      @most = { seeds: seeds, milliseconds: milliseconds }
      @deadline_s = deadline_s
      @command = command
      @one_at_a_time = Mutex.new
    end

    # @param brief [Hash] as Wattomneum::Circuits::Drawing::Brief makes it
    # @return [Hash] as drawing/lib/types.d.ts says, Drawing
    # @raise [NoDrawingError]
    def draw(brief)
      @one_at_a_time.synchronize do
        answer = JSON.parse(ask(JSON.generate({ **@most, brief: brief })))
        answer['drawing'] || raise(NoDrawingError, answer.fetch('problem'))
      end
    end

    # @return [void]
    def stop = @one_at_a_time.synchronize { put_down }

    private

    # One that ended meanwhile is started once more.
    def ask(line)
      tries ||= 0
      start unless @process&.alive?
      @input.puts(line)
      @input.flush
      listen
    rescue Errno::EPIPE, EOFError
      put_down
      (tries += 1) < 2 ? retry : raise(NoDrawingError, 'the program that draws ended without an answer')
    end

    def listen
      answer = Timeout.timeout(@deadline_s) { @output.gets }
      answer || raise(EOFError)
    rescue Timeout::Error
      put_down
      raise NoDrawingError, "the drawing was not ready after #{@deadline_s} s"
    end

    def start
      @input, @output, @process = Open3.popen2(*@command)
    rescue Errno::ENOENT
      raise NoDrawingError, 'the program that draws is not here: Node is missing'
    end

    def put_down
      return if @process.nil?

      end_it
      [@input, @output].each { |pipe| shut(pipe) }
      @process.value
      @process = nil
    end

    # One that is ending by itself may be gone before the signal reaches it.
    def end_it
      Process.kill('KILL', @process.pid)
    rescue Errno::ESRCH
      nil
    end

    # What was still to be written to one that is gone can not be.
    def shut(pipe)
      pipe.close
    rescue Errno::EPIPE
      nil
    end
  end
end
