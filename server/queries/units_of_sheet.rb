# frozen_string_literal: true

module Server
  module Queries
    # Versions of a sheet, how many units and open jobs have each, and the units that do not have the newest one.
    #
    # SQL: versions by sheet; current unit_sheet rows of units in service counted by version; open jobs counted by the version that they hold;
    # the first units of older versions with their yards
    class UnitsOfSheet
      Fitted = Struct.new(:id, :number, :name, :yard, :version_id, keyword_init: true)
      # More than anybody ticks in one go (ours).
      MOST_LISTED = 200
      private_constant :MOST_LISTED

      # @param sheet_id [Integer]
      def initialize(sheet_id)
        @sheet_id = sheet_id
      end

      # @return [Array<Models::SheetVersion>] the newest first
      def versions = @versions ||= Models::SheetVersion.where(sheet_id: @sheet_id).order(Sequel.desc(:n)).all

      # @return [Hash{Integer => String}] names of who published, by account
      def names = @names ||= Models::Account.where(id: versions.filter_map(&:person_id)).select_hash(:id, :name)

      # @return [Hash{String => Integer}] units in service, by version
      def units = @units ||= in_service.group_and_count(:version_id).to_hash(:version_id, :count)

      # @return [Array<Fitted>] the first of those that have an older version, by number
      def behind
        in_service.exclude(version_id: versions.first.id).join(:yard, id: Sequel[:unit][:yard_id]).order(Sequel[:unit][:number]).limit(MOST_LISTED)
                  .select_map([Sequel[:unit][:id], Sequel[:unit][:number], Sequel[:unit][:name], Sequel[:yard][:name].as(:yard), :version_id])
                  .map { |row| Fitted.new(**Fitted.members.zip(row).to_h) }
      end

      # @return [Hash{String => Integer}] open jobs that hold a version: they go on with it
      def jobs
        @jobs ||= begin
          open = Models::Job.exclude(state: %w[closed cancelled]).select(:id)
          DB[:job_sheet].where(version_id: versions.map(&:id), job_id: open).group_and_count(:version_id).to_hash(:version_id, :count)
        end
      end

      private

      def in_service
        Models::UnitSheet.current.where(sheet_id: @sheet_id).join(:unit, id: :unit_id).where(Sequel[:unit][:retired_at] => nil)
      end
    end
  end
end
