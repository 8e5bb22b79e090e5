# frozen_string_literal: true

module Server
  module Workers
    # One piece of work in processes of their own, one a core. Only for a command of one thread: a server or a queue does not fork.
    module SideBySide
      # @param ids [Array<String>]
      # @param processes [Integer] 1 to stay in this one
      # @yieldparam ids [Array<String>] a share of them
      # @yieldreturn [Integer] how many of them came to something
      # @return [Integer] how many of all
      # @raise [RuntimeError] where a share did not come to its end; what others did stands
      def self.count(ids, processes:, &work)
        return yield(ids) if processes < 2 || ids.size < processes

        DB.disconnect
        shares = ids.each_slice((ids.size / processes.to_f).ceil).map { |share| start(share, &work) }
        told = shares.map { |reader, pid| [reader.read, Process.wait2(pid).last] }
        raise 'a share of the work came to no end: see what it said above' unless told.all? { |_, status| status.success? }

        told.sum { |said, _| Integer(said) }
      end

      # Nothing that its parent opened is closed by a share as it ends.
      def self.start(share)
        reader, writer = IO.pipe
        pid = fork do
          reader.close
          writer.write(yield(share))
          writer.close
          exit!(0)
        rescue StandardError => e
          warn e.full_message
          exit!(1)
        end
        writer.close
        [reader, pid]
      end
      private_class_method :start
    end
  end
end
