# frozen_string_literal: true

RSpec.describe 'The sheet editor' do
  before { sign_in_as('electrician') }

  def newest = Server::Models::SheetVersion.newest_of('fuel_pump')

  # Written when the row is left.
  def type(row, label, text)
    within("[data-row='#{row}']") { find_field("#{label} of #{row}").set(text, clear: :backspace) }
    find('h1').click
  end

  def say_otherwise(fitted, number)
    Server::Models::SheetDrawing.order(fitted.version.content, fitted.version.digest)
    Server::Workers::DrawSheets.all(Drawn::LAYOUTER)
    visit "/circuits/#{fitted.id}?wire=7"
    expect(page).to have_css('[data-wire="7"]')
    click_button "#{number} has it otherwise"
    select 'length: 0.8 m', from: 'What is otherwise'
    fill_in 'It is, in m', with: 'long'
    fill_in 'Why', with: 'Led round the heater'
    click_button "So it is on #{number}"
    expect(page).to have_css('[role=alert]', text: 'length is a number, got "long"')
    fill_in 'It is, in m', with: '1,4'
    click_button "So it is on #{number}"
    expect(page).to have_css('dd', text: /1.4 m\s+Sheet: 0.8 m. Led round the heater. /).and have_link('1 of its own')
    expect(page).to have_css('[data-wire-words="7"] [text-decoration=underline]')
    expect(fitted.refresh.overrides.to_h.values).to eq([{ 'length_m' => 1.4 }])
  end

  { 'a laptop' => {}, 'a phone' => { phone: true, long: true } }.each do |screen, how|
    it "takes a bad row as typed, is mended, undone, published, and a unit moved to the version says what it has otherwise, on #{screen}", **how do
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
      how[:phone] ? select('Versions', from: 'Ask the sheet') : click_button('Versions')
      click_button "What differs from version #{before.n}"
      expect(page).to have_css('li', text: 'wire 7 changed: colour violet/white, was black/red')
      check "#{unit.number} #{unit.name}", allow_label_click: true
      click_button "Move 1 unit to version #{newest.n}"
      expect(page).to have_no_field(unit.number)
      expect(page).to have_css('li', text: "Version #{newest.n}").and have_content('1 unit')
      now = Server::Models::UnitSheet.current.where(unit_id: unit.id, sheet_id: newest.sheet_id).eager(:version).first
      expect([now.version_id, now.version.to_core.wire('7').colour]).to eq([newest.id, 'violet/white'])
      say_otherwise(now, unit.number)
    end
  end

  it 'shows both where somebody else changed the same row meanwhile, goes on from what was chosen, and takes a list of another hand' do
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
    click_button 'Bring in a wire list'
    find_field('Or paste it').set("Draht;From;Pin;To;Pin;Length (mm)\n90;K11;87;X90;3;1200\n", rapid: false)
    expect(page).to have_select('From', selected: 'From').and have_select('Unit of the lengths', selected: 'mm')
    select 'Draht', from: 'Wire'
    click_button 'Take 1 wire'
    expect(page).to have_css("[data-row='X90']", text: 'X90 has no kind')
    expect(find_field('Length, m of wire 90').value).to eq('1.2')
  end
end
