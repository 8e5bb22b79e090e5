# frozen_string_literal: true

module Server
  module Book
    # A job on paper, to lie beside the work: what is wrong, the way that is followed with what was read on it, every reading with its verdict,
    # what to do next with its cautions.
    class JobPage
      # @param job [Hash] as Presenters::JobBench makes it
      # @param sheets [Array<Queries::SheetToRead>] on which its complaint lies
      def initialize(job, sheets: [])
        @job = job
        @sheets = sheets
      end

      # @return [String] PDF
      def render
        unit = @job[:unit]
        @book = Document.new(title: "Job #{@job[:number]}, #{unit[:number]} #{unit[:name]}", under: [unit[:yard], @job[:complaint]].reject(&:empty?))
        @book.chapter('The job') { job }
        @sheets.each { |one| SheetPages.new(one, paper: 'a4', view: 'wire').draw_in(@book) }
        @book.render
      end

      private

      def job
        @book.say(@job[:symptom][:words], size: 12)
        @book.say(@job[:seen]) unless @job[:seen].empty?
        next_step
        path
        @book.heading('Readings')
        @book.table(%w[Where Read How Verdict], readings, widths: { 1 => 0.14, 3 => 0.32 })
      end

      def next_step
        step = @job[:next_step]
        @book.heading("Next: #{step[:title]}, #{step[:minutes]} min")
        @book.say(step[:why])
        step[:cautions].each { |caution| @book.say("Caution: #{caution[:text]}", style: :bold) }
        step[:access].each { |note| @book.say("Getting there, #{note[:place]}: #{note[:text]}") }
      end

      def path
        loop = @job[:path] or return
        @book.heading("The way through #{loop[:load]}")
        @book.table(['', 'Part', 'From', 'To', 'Read'], stretches(loop), widths: { 0 => 0.08, 4 => 0.2 })
      end

      def stretches(loop)
        { 'feed' => loop[:feed], 'return' => loop[:return] }.flat_map do |side, stretches|
          stretches.map do |one|
            read = [one[:reading], one[:across]].compact.map { |reading| "#{reading[:spoken]}, #{reading[:verdict]}" }
            [side, "#{one[:label]}#{', convicted' if one[:convicted]}", one[:from_label], one[:to_label], read.join('; ')].map(&:to_s)
          end
        end
      end

      def readings
        @job[:readings].select { |reading| reading[:fate].nil? }.map do |reading|
          judged = reading[:judged]
          [reading[:label], reading[:spoken], reading[:condition_line], judged ? "#{judged[:verdict]}: #{judged[:summary]}" : ''].map(&:to_s)
        end
      end
    end
  end
end
