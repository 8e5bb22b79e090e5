# frozen_string_literal: true

module Server
  module Models
    # A sheet as it is drawn, or the order to draw it. By what the sheet says: versions and drafts that say the same share one.
    class SheetDrawing < Sequel::Model(:sheet_drawing)
      unrestrict_primary_key
      # One that began drawing and did not come to an end in this time is taken up by another.
      LEFT_ALONE_S = 3 * Bounds[:layout_processor_seconds]
      # An order that nobody began on in this time is ordered once more.
      FORGOTTEN_S = 10
      # What stands in no version is a draft that was typed on: nobody who looks at it asks no more for so long.
      NOBODY_WAITS_S = 60
      private_constant :LEFT_ALONE_S, :FORGOTTEN_S, :NOBODY_WAITS_S

      dataset_module do
        # The last one asked for comes first: somebody is looking at it.
        #
        # SQL: select * from sheet_drawing where picture is null and problem is null and (begun_at is null or begun_at < ?)
        #      and (asked_at > ? or digest in (select digest from sheet_version)) order by asked_at desc
        def to_draw
          now = Time.now.utc
          where(picture: nil, problem: nil).where { (begun_at =~ nil) | (begun_at < now - LEFT_ALONE_S) }
                                           .where(Sequel.|(Sequel[:asked_at] > now - NOBODY_WAITS_S, { digest: SheetVersion.select(:digest) }))
                                           .order(Sequel.desc(:asked_at))
        end

        # Of drafts: what no version says.
        #
        # SQL: select * from sheet_drawing where digest not in (select digest from sheet_version)
        def of_no_version = exclude(digest: SheetVersion.select(:digest))
      end

      class << self
        # What there is of it; ordered where there is nothing, or what another program drew.
        #
        # @param content [String] of a sheet, as the writer of sheets writes it
        # @param digest [String] of the content
        # @return [SheetDrawing]
        def order(content, digest)
          row = with_pk(digest)
          return row if row&.settled?

          fresh = { program: Layouter::SIGNATURE, picture: nil, problem: nil, begun_at: nil, asked_at: Time.now.utc }
          dataset.insert_conflict(target: :digest, update: fresh).insert(digest: digest, content: content, **fresh)
          Workers::DrawSheets.plan
          with_pk!(digest)
        end

        # @param sheet [Wattomneum::Circuits::Sheet]
        # @return [SheetDrawing]
        def order_sheet(sheet)
          content = Wattomneum::Circuits::Notation::SheetWriter.write(sheet)
          order(content, Digest::SHA256.hexdigest(content))
        end

        # What somebody may open today and this program did not draw yet: the newest version of each sheet, and those on units. An old version is
        # drawn when it is asked for.
        #
        # @return [void]
        def order_missing
          open = SheetVersion.where(Sequel.|({ id: SheetVersion.newest.select(:id) }, { id: UnitSheet.current.select(:version_id) }))
          open.exclude(digest: where(program: Layouter::SIGNATURE).select(:digest)).order(:n).each { |one| order(one.content, one.digest) }
        end

        # @return [SheetDrawing, nil] one to draw, which nobody else draws meanwhile
        def take
          db.transaction do
            row = to_draw.for_update.skip_locked.first
            row&.update(begun_at: Time.now.utc)
          end
        end
      end

      # @return [Boolean] whether this program drew it, or is at it
      def settled?
        return false unless program == Layouter::SIGNATURE
        return true if done?

        (begun_at || asked_at) > Time.now.utc - (begun_at ? LEFT_ALONE_S : FORGOTTEN_S)
      end

      # @return [Boolean]
      def done? = !picture.nil? || !problem.nil?

      # @return [Integer] how many others will be drawn before it
      def before = self.class.to_draw.where(Sequel[:asked_at] > asked_at).count

      # @return [Hash, nil] as drawing/lib/types.d.ts says, Drawing
      def drawing = picture && JSON.parse(picture)

      # @param layouter [Layouter]
      # @return [void]
      def draw(layouter)
        start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        outcome = picture_of(layouter)
        update(**outcome, took_s: Process.clock_gettime(Process::CLOCK_MONOTONIC) - start, drawn_at: Time.now.utc)
      end

      # @param problem [String]
      # @return [void]
      def give_up(problem) = update(problem: problem, drawn_at: Time.now.utc)

      private

      def picture_of(layouter)
        read = Wattomneum::Circuits::Notation::SheetReader.read(content)
        return { problem: "the sheet cannot be read: #{read.problems.first}" } if read.sheet.nil?

        { picture: JSON.generate(layouter.draw(Wattomneum::Circuits::Drawing::Brief.new(read.sheet).to_h)) }
      rescue Layouter::NoDrawingError => e
        { problem: e.message }
      end
    end
  end
end
