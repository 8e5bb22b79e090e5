# frozen_string_literal: true

module Server
  module Queries
    # Units by number or name, jobs by number, batteries by tag: best first.
    class Find
      MOST = 8

      # @param text [String]
      def initialize(text)
        @text = text.strip[0, 60]
      end

      # @return [Array<Hash>] kind, id, label, detail
      def call
        return [] if @text.empty?

        (named_so + jobs + (units - named_so) + batteries + parts + circuit_items).first(MOST)
      end

      private

      def pattern = "%#{DB.dataset.escape_like(@text)}%"
      def start = "#{DB.dataset.escape_like(@text)}%"

      # A unit that is called just that comes before a job of that number, and that before units that have it somewhere.
      def named_so = units.select { |found| found[:label].downcase.start_with?("#{@text.downcase} ") }

      def units
        @units ||= Models::Unit.standing(false).where(Sequel.ilike(:number, pattern) | Sequel.ilike(:name, pattern)).eager(:yard)
                               .order(Sequel.case([[Sequel.ilike(:number, @text), 0], [Sequel.ilike(:number, start), 1]], 2), :number)
                               .limit(MOST).all
                               .map { |unit| { kind: 'unit', id: unit.id, label: "#{unit.number} #{unit.name}", detail: unit.yard.name } }
      end

      def jobs
        number = @text.delete_prefix('#')
        return [] unless number.match?(/\A\d{1,9}\z/)

        Models::Job.where(number: number.to_i).eager(:unit).all
                   .map { |job| { kind: 'job', id: job.id, label: "Job #{job.number}, #{job.unit.number}", detail: job.complaint[0, 80] } }
      end

      # Pins and wires of the sheets that are fitted: "K10:86", "wire 27".
      #
      # SQL: select unit_sheet.*, sheet_item.* from unit_sheet join sheet_item using (version_id) where name matches, exact ones first
      def circuit_items
        name = @text.sub(/\Awire\s+/i, '')
        return [] if name.size < 2

        item = Sequel[:sheet_item]
        exact_first = Sequel.case([[Sequel.ilike(item[:name], name), 0]], 1)
        items = Models::UnitSheet.current.join(:sheet_item, version_id: :version_id).join(:unit, id: Sequel[:unit_sheet][:unit_id])
                                 .where(Sequel.ilike(item[:name], "#{DB.dataset.escape_like(name)}%")).where(retired_at: nil)
                                 .order(exact_first, item[:name], Sequel[:unit][:number]).limit(MOST)
                                 .select_map([Sequel[:unit_sheet][:id], item[:kind], item[:name], item[:label], Sequel[:unit][:number]])
        items.map { |row| circuit_item(*row) }
      end

      def circuit_item(id, kind, name, label, unit_number)
        { kind: 'circuit', id: "#{id}?#{URI.encode_www_form(kind => name)}", label: kind == 'wire' ? "Wire #{name}" : name,
          detail: "#{label}, on #{unit_number}" }
      end

      # SQL: select asset.id, kind, tag, label, unit.number from asset left join asset_fitting (current) left join unit where tag matches
      def parts
        standing = Models::AssetFitting.current.as(:standing)
        Models::Asset.naked.where(Sequel.ilike(:tag, pattern)).where(scrapped_at: nil)
                     .left_join(standing, asset_id: Sequel[:asset][:id]).left_join(:unit, id: Sequel[:standing][:unit_id])
                     .order(:tag).limit(MOST).select_map([Sequel[:asset][:id], Sequel[:asset][:kind], :tag, :number]).map do |id, kind, tag, number|
          { kind: 'part', id: id, label: "#{kind.capitalize} #{tag}", detail: number ? "in #{number}" : 'on the shelf' }
        end
      end

      # SQL: select battery.id, tag, position, unit.number from battery left join fitting (current) left join unit where tag matches
      def batteries
        standing = Models::Fitting.current.as(:standing)
        Models::Battery.naked.where(Sequel.ilike(:tag, pattern)).where(scrapped_at: nil)
                       .left_join(standing, battery_id: Sequel[:battery][:id]).left_join(:unit, id: Sequel[:standing][:unit_id])
                       .order(:tag).limit(MOST).select_map([Sequel[:battery][:id], :tag, :position, :number]).map do |id, tag, position, number|
          { kind: 'battery', id: id, label: "Battery #{tag}", detail: number ? "#{position} in #{number}" : 'on the shelf' }
        end
      end
    end
  end
end
