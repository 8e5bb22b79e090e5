# frozen_string_literal: true

module Server
  module Queries
    # Versions of a sheet, and which unit has which of them.
    #
    # SQL: versions by sheet; current unit_sheet rows of it with unit's number and name and yard; how many open jobs hold each version
    class UnitsOfSheet
      # unit: Hash of id, number, name; version_id
      Fitted = Struct.new(:id, :number, :name, :yard, :version_id, keyword_init: true)

      # @param sheet_id [Integer]
      def initialize(sheet_id)
        @sheet_id = sheet_id
      end

      # @return [Array<Models::SheetVersion>] the newest first
      def versions = @versions ||= Models::SheetVersion.where(sheet_id: @sheet_id).order(Sequel.desc(:n)).all

      # @return [Hash{Integer => String}] names of who published, by account
      def names = @names ||= Models::Account.where(id: versions.filter_map(&:person_id)).select_hash(:id, :name)

      # @return [Array<Fitted>] by number
      def units
        @units ||= Models::UnitSheet.current.where(sheet_id: @sheet_id).join(:unit, id: :unit_id).join(:yard, id: Sequel[:unit][:yard_id])
                                    .where(Sequel[:unit][:retired_at] => nil).order(Sequel[:unit][:number])
                                    .select_map([Sequel[:unit][:id], Sequel[:unit][:number], Sequel[:unit][:name], Sequel[:yard][:name].as(:yard),
                                                 :version_id])
                                    .map { |row| Fitted.new(**Fitted.members.zip(row).to_h) }
      end

      # @return [Hash{String => Integer}] open jobs that hold a version: they go on with it
      def jobs
        @jobs ||= begin
          open = Models::Job.exclude(state: %w[closed cancelled]).select(:id)
          DB[:job_sheet].where(version_id: versions.map(&:id), job_id: open).group_and_count(:version_id).to_hash(:version_id, :count)
        end
      end
    end
  end
end
