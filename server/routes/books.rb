# frozen_string_literal: true

module Server
  module Routes
    # What is printed: a drawing as a file or page by page, the book of a sheet or of a whole unit, a job to lie beside the work.
    class Books < Base
      DEFAULTS = { paper: 'a4', view: 'wire' }.freeze
      private_constant :DEFAULTS

      get '/api/circuits/:id/drawing.svg' do
        allow!(:read)
        wish = asked!(Contracts::BookWish)
        pictures = pictures_of(one.version, one.sheet)
        raise Refusals::NotFound, 'It is not drawn yet: look at its drawing first' if pictures.empty?

        attachment "#{one.sheet.key}#{"-#{wish[:paper]}-#{wish[:page] || 1}" if wish[:paper]}.svg"
        content_type 'image/svg+xml', charset: 'utf-8'
        wish[:paper] ? page(pictures, wish) : Book::Svg.new(pictures, title: one.version.title).to_s
      end

      get '/api/circuits/:id/book.pdf' do
        allow!(:read)
        title = [one.unit&.number, one.version.title].compact.join(' ')
        printed("#{one.sheet.key}.pdf") { book(title, ["#{one.version.system_volt} V, version #{one.version.n}"], [one]) }
      end

      get '/api/units/:id/book.pdf' do
        allow!(:read)
        unit = find!(Models::Unit.dataset.eager(:yard), id_param, 'unit')
        sheets = Queries::UnitCircuits.new(unit.id).readable.map { |fitted| Printed.of(fitted.version, fitted) }
        printed("#{unit.number}.pdf") { book("#{unit.number} #{unit.name}", [unit.yard.name, "#{sheets.size} circuit sheets"], sheets) }
      end

      get '/api/jobs/:id/page.pdf' do
        allow!(:read)
        job = find!(Models::Job.dataset, id_param, 'job')
        record = Queries::JobRecord.new(job)
        shown = bench(record)
        printed("job-#{job.number}.pdf") { Book::JobPage.new(shown, drawings: drawings_for(shown, record)).render }
      end

      # A sheet to print: a version, and what one unit has otherwise.
      Printed = Struct.new(:version, :sheet, :unit, :own, keyword_init: true) do
        def self.of(version, fitted)
          overrides = fitted ? fitted.overrides.to_h : {}
          new(version: version, sheet: Queries::Machines.of(version, overrides).sheet, unit: fitted&.unit_id && Models::Unit[fitted.unit_id],
              own: overrides.size)
        end
      end
      private_constant :Printed

      private

      def one
        @one ||= begin
          fitted = Models::UnitSheet.where(id: id_param).eager(version: :sheet).first
          version = fitted&.version || Models::SheetVersion.where(id: id_param).eager(:sheet).first || raise(Refusals::NotFound, 'No such sheet')
          Printed.of(version, fitted)
        end
      end

      # What is not drawn yet is ordered, and printed as a table meanwhile.
      def pictures_of(version, sheet)
        Presenters::Circuits::SheetDrawing.pictures(Models::SheetDrawing.order(version.content, version.digest), sheet)
      end

      def page(pictures, wish)
        pages = pictures.flat_map { |picture| Book::Page.of(picture, wish[:paper]) }
        found = pages[(wish[:page] || 1) - 1] || raise(Refusals::NotFound, "This drawing has #{pages.size} pages of that paper")
        Book::Svg.page(found, title: one.version.title)
      end

      def book(title, under, sheets)
        wish = DEFAULTS.merge(asked!(Contracts::BookWish).slice(:paper, :view))
        own = sheets.sum(&:own)
        under = [*under, ("#{own} things are otherwise on this unit, and printed as they are on it" if own.positive?),
                 "Printed #{Time.now.utc.strftime('%-d %b %Y')}"]
        with_pictures = sheets.map { |one| [one.sheet, pictures_of(one.version, one.sheet)] }
        Book::UnitBook.new(title: title, under: under.compact, sheets: with_pictures, **wish).render
      end

      # Sheets of the job on which its complaint lies.
      def drawings_for(shown, record)
        part = shown[:symptom][:part]
        loop = Presenters::PathLoop::LOOPS[shown[:symptom][:work]]
        sheets = record.circuit.held.map { |held| [held.version, Queries::Machines.of(held.version, held.overrides).sheet] }
        about = sheets.select { |_, sheet| part ? sheet.part(part) : sheet.loops.any? { |one| one.key == loop } }
        about.map { |version, sheet| [sheet, pictures_of(version, sheet)] }
      end

      def printed(name, &)
        file = Book::Press.print(&)
        attachment name
        content_type 'application/pdf'
        file
      end
    end
  end
end
