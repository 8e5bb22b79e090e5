# frozen_string_literal: true

module Server
  module Routes
    # Sheets while they are written: begun, typed row by row, undone, published as a version or dropped.
    class Drafts < Base
      MOST_LISTED = 100
      # A wire list is one long text.
      LIST = { most_bytes: Bounds[:sheet_body_bytes], most_characters: Bounds[:sheet_body_bytes] }.freeze
      private_constant :MOST_LISTED, :LIST

      get '/api/drafts' do
        allow!(:read)
        drafts = Models::SheetDraft.unended.eager(:person, :base_version).order(Sequel.desc(:begun_at)).limit(MOST_LISTED).all
        json(drafts: drafts.map { |one| Presenters::Circuits::Draft.line(one) })
      end

      post '/api/drafts' do
        allow!(:edit_circuits)
        once(201, :shown) { Models::SheetDraft.begin(contract!(Contracts::NewDraft), by: person) }
      end

      get '/api/drafts/:id' do
        allow!(:read)
        json(shown(id_param))
      end

      put '/api/drafts/:id/rows' do
        allow!(:edit_circuits)
        once(200, :shown) { held.tap { |draft| draft.write(contract!(Contracts::DraftRows)[:rows], by: person) } }
      end

      put '/api/drafts/:id/head' do
        allow!(:edit_circuits)
        once(200, :shown) { held.tap { |draft| draft.write_head(contract!(Contracts::DraftHead)) } }
      end

      post '/api/drafts/:id/copies' do
        allow!(:edit_circuits)
        once(200, :shown) { held.tap { |draft| draft.copy_block(contract!(Contracts::BlockToCopy)[:components], by: person) } }
      end

      # What the columns of a list most likely are, before anything is taken.
      post '/api/drafts/:id/list-columns' do
        allow!(:edit_circuits)
        json(Presenters::Circuits::ListColumns.call(Queries::Machines.asked_by(person) do
          Wattomneum::Circuits::Drafting::ForeignList.new(contract!(Contracts::ListToRead, **LIST)[:csv])
        end))
      end

      post '/api/drafts/:id/lists' do
        allow!(:edit_circuits)
        once(200, :shown, **LIST) { held.tap { |draft| draft.take_list(contract!(Contracts::ListToTake, **LIST), by: person) } }
      end

      post '/api/drafts/:id/undo' do
        allow!(:edit_circuits)
        once(200, :shown) { held.tap { |draft| draft.undo(by: person) } }
      end

      # What is done behind the scenes ends after its next lot; what was done till then stands.
      post '/api/drafts/:id/cancellation' do
        allow!(:edit_circuits)
        once(200, :shown) { draft(id_param).tap(&:cancel_work) }
      end

      post '/api/drafts/:id/publication' do
        allow!(:edit_circuits)
        once(200, :shown) { held.tap { |draft| draft.publish(by: person, onto: contract!(Contracts::Publication)[:onto]) } }
      end

      post '/api/drafts/:id/end' do
        allow!(:edit_circuits)
        once(200, :shown) { held.tap(&:drop) }
      end

      # What of it is sound already, drawn.
      get '/api/drafts/:id/drawing' do
        allow!(:read)
        sheet = Queries::Machines.asked_by(person) { draft(id_param).to_core.sound_part }
        next json(pictures: [], problem: 'its head cannot be read yet') if sheet.nil?

        drawn(Models::SheetDrawing.order_sheet(sheet), sheet)
      end

      private

      def draft(id)
        Models::SheetDraft.where(id: id).eager(:base_version,
                                               rows: :person).first || raise(Refusals::NotFound, 'No such draft: it may have been dropped')
      end

      # Of each kind of rows, and whether only those are asked for with which something is wrong.
      def page
        %w[component wire].to_h { |kind| [kind, params["#{kind}_page"].to_s[/\A\d{1,4}\z/].to_i] }.merge('wrong' => params['only_wrong'] == 'yes')
      end

      def held
        hold!(Models::SheetDraft.dataset, id_param, 'draft')
        draft(id_param)
      end

      def shown(about)
        Queries::Machines.asked_by(person) { Presenters::Circuits::Draft.call(draft(about.is_a?(String) ? about : about.id), person, page) }
      end
    end
  end
end
