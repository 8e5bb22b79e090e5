# frozen_string_literal: true

RSpec.describe 'The sheet editor' do
  before { sign_in_as('electrician') }

  def newest = Server::Models::SheetVersion.newest_of('fuel_pump')

  # Written when the row is left.
  def type(row, label, text)
    within("[data-row='#{row}']") { find_field("#{label} of #{row}").set(text) }
    find('h1').click
  end

  { 'a laptop' => {}, 'a phone' => { phone: true } }.each do |screen, how|
    it "takes a bad row as it is typed, is mended, undone and published, and a unit is moved to the version, on #{screen}", **how do
      before = newest
      unit = Server::Models::UnitSheet.current.where(version_id: before.id).eager(:unit).first.unit
      visit "/circuits/#{before.id}?ask=versions"
      click_button 'Change this sheet'
      expect(page).to have_css('h1', text: 'Fuel pump relay with its own ground, draft')
      type('K11', 'Facts', 'coil_ohm: many')
      expect(page).to have_css("[data-row='K11']", text: 'relay K11 coil_ohm is a number, got "many"')
      expect(page).to have_css('h2', text: '1 thing is wrong yet').and have_button('Publish as version', disabled: true)
      click_button 'Undo'
      expect(page).to have_css('h2', text: 'Nothing is wrong, 0 changed')
      type('wire 7', 'Colour', 'violet/white')
      expect(page).to have_css('section[aria-label="What it changes"] li', text: 'wire 7 changed: colour violet/white')
      expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= page.evaluate_script('window.innerWidth')
      click_button 'Publish as version'
      expect(page).to have_current_path(%r{/circuits/}).and have_content("version #{before.n + 1}")
      click_button 'Versions'
      check "#{unit.number} #{unit.name}", allow_label_click: true
      click_button "Move 1 unit to version #{newest.n}"
      expect(page).to have_no_field(unit.number)
      expect(page).to have_css('li', text: "Version #{newest.n}").and have_content('1 unit')
      now = Server::Models::UnitSheet.current.where(unit_id: unit.id).eager(:version).all.map(&:version).find { |one| one.sheet_id == newest.sheet_id }
      expect([now.id, now.to_core.wire('7').colour]).to eq([newest.id, 'violet/white'])
    end
  end

  it 'shows both where somebody else changed the same row meanwhile, and goes on from what was chosen' do
    draft = Server::Models::SheetDraft.begin({ id: SecureRandom.uuid, version_id: newest.id }, by: Server::Models::Account.first)
    visit "/drafts/#{draft.id}"
    expect(page).to have_css("[data-row='wire 7']")
    row = draft.rows.find { |one| one.typed['number'] == '7' }
    change = { item_uuid: row.item_uuid, kind: 'wire', row_version: 1, typed: row.typed.to_h.merge('colour' => 'grey', 'size' => '6') }
    Server::DB.transaction { draft.write([change], by: Server::Models::Account.exclude(id: draft.person_id).first) }
    type('wire 7', 'Colour', 'pink')
    within("[data-row='wire 7'] [aria-label='Both versions']") do
      find('[aria-label=Colour]').click_button('mine')
      find('[aria-label=Size]').click_button('theirs')
    end
    click_button 'Go on with these'
    expect(page).to have_css('section[aria-label="What it changes"] li', text: /wire 7 changed: colour pink, was .*; size 6 mm²/)
    expect(Server::Models::SheetDraftRow.first(draft_id: draft.id, item_uuid: row.item_uuid).row_version).to eq(3)
  end
end
