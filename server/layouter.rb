# frozen_string_literal: true

require 'etc'
require 'io/wait'
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
    TICKS_A_SECOND = Etc.sysconf(Etc::SC_CLK_TCK)
    LOOK_EVERY_SECONDS = 0.2
    private_constant :PROGRAM, :SOURCES, :MEGABYTES, :TICKS_A_SECOND, :LOOK_EVERY_SECONDS

    # @param seeds [Integer] tries, of which the best is kept
    # @param processor_seconds [Numeric] of one sheet, after which it is ended; on a busy machine they last longer
    # @param silent_seconds [Numeric] after which one that does nothing at all is ended
    # @param command [Array<String>]
    def initialize(seeds: 4, processor_seconds: Bounds[:layout_processor_seconds], silent_seconds: Bounds[:layout_silent_seconds],
                   command: ['node', "--max-old-space-size=#{MEGABYTES}", PROGRAM])
      @most = { seeds: seeds }
      @processor_seconds = processor_seconds
      @silent_seconds = silent_seconds
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
      began = used_seconds
      silent_since = now
      used = began
      until @output.wait_readable(LOOK_EVERY_SECONDS)
        before = used
        used = used_seconds
        silent_since = now if used > before
        give_up(used - began) if used - began > @processor_seconds || now - silent_since > @silent_seconds
      end
      @output.gets || raise(EOFError)
    end

    def give_up(used)
      put_down
      raise NoDrawingError, "the drawing was not ready after #{used.round(1)} s of work"
    end

    # What the process has had of a core since it began; as much as ever once it is gone.
    def used_seconds
      File.read("/proc/#{@process.pid}/stat").split(') ').last.split.values_at(11, 12).sum(&:to_i) / TICKS_A_SECOND.to_f
    rescue Errno::ENOENT, Errno::ESRCH
      0.0
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

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

    # What was still to be written to one that is gone cannot be.
    def shut(pipe)
      pipe.close
    rescue Errno::EPIPE
      nil
    end
  end
end
