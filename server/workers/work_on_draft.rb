# frozen_string_literal: true

module Server
  module Workers
    # A list that is taken into a draft, or a large step that is undone, lot by lot. May run twice: a lot that was done is not done again.
    class WorkOnDraft < Que::Job
      # @param id [String] of Models::DraftWork
      def run(id) = Models::DraftWork.with_pk(id)&.finish
    end
  end
end
