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
        one = Queries::SheetToRead.by_id(id_param)
        pictures = Presenters::Circuits::SheetDrawing.pictures(one.drawing, one.sheet, one.overrides.keys)
        raise Refusals::NotFound, 'It is not drawn yet: look at its drawing first' if pictures.empty?

        attachment "#{one.sheet.key}#{"-#{wish[:paper]}-#{wish[:page] || 1}" if wish[:paper]}.svg"
        content_type 'image/svg+xml', charset: 'utf-8'
        wish[:paper] ? page(pictures, wish, one.version.title) : Book::Svg.new(pictures, title: one.version.title).to_s
      end

      get '/api/circuits/:id/book.pdf' do
        allow!(:read)
        one = Queries::SheetToRead.by_id(id_param)
        title = [one.unit&.number, one.version.title].compact.join(' ')
        printed("#{one.sheet.key}.pdf") { book(title, ["#{one.version.system_volt} V, version #{one.version.n}"], [one]) }
      end

      get '/api/units/:id/book.pdf' do
        allow!(:read)
        unit = find!(Models::Unit.dataset.eager(:yard), id_param, 'unit')
        sheets = Queries::UnitCircuits.new(unit.id).readable.map { |fitted| Queries::SheetToRead.of(fitted) }
        printed("#{unit.number}.pdf") { book("#{unit.number} #{unit.name}", [unit.yard.name, "#{sheets.size} circuit sheets"], sheets) }
      end

      get '/api/jobs/:id/page.pdf' do
        allow!(:read)
        record = Queries::JobRecord.new(find!(Models::Job.dataset, id_param, 'job'))
        shown = bench(record)
        printed("job-#{record.job.number}.pdf") { Book::JobPage.new(shown, sheets: record.circuit.about).render }
      end

      private

      def page(pictures, wish, title)
        pages = Book::Page.through(pictures, wish[:paper])
        found = pages[(wish[:page] || 1) - 1] || raise(Refusals::NotFound, "This drawing has #{pages.size} pages of that paper")
        Book::Svg.page(found, title: title)
      end

      def book(title, under, sheets)
        wish = DEFAULTS.merge(asked!(Contracts::BookWish).slice(:paper, :view))
        Book::UnitBook.new(title: title, under: under, sheets: sheets, day: Time.now.utc.to_date, **wish).render
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
