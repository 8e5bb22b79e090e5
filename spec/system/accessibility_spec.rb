# frozen_string_literal: true

RSpec.describe 'Accessibility' do
  # Serious and critical findings of axe on every view.
  def serious_findings(rules = '')
    page.execute_script(File.read(Dir[File.join(Gem.loaded_specs['axe-core-api'].full_gem_path, '**/axe.min.js')].first))
    result = page.evaluate_async_script("const done = arguments[0]; axe.run(#{rules}).then((found) => done(found.violations))")
    result.select { |finding| %w[serious critical].include?(finding['impact']) }
          .map { |finding| "#{finding['id']}: #{finding['nodes'].map { |node| node['html'] }.first(2).join(' ')}" }
  end

  def circuit_paths
    id = Server::Models::UnitSheet.where(unit_id: Server::Models::Unit.where(number: 'T-03').select(:id),
                                         sheet_id: Server::Models::Sheet.where(key: 'fuel_pump').select(:id)).get(:id)
    version = Server::Models::SheetVersion.newest_of('fuel_pump')
    draft = Server::Models::SheetDraft.begin({ id: SecureRandom.uuid, version_id: version.id }, by: Server::Models::Account.first)
    content = Wattomneum::Circuits::Notation::SheetWriter.write(draft.to_core.sheet)
    Server::Models::SheetDrawing.order(content, Digest::SHA256.hexdigest(content))
    draw_sheets
    # The drawing is looked at once: a thousand shapes take axe as long as ten pages.
    questions = ['pin=K11:86', 'wire=10', 'open=G8', 'ask=cause', 'ask=live', 'ask=conflicts', 'ask=versions'].map { |one| "#{one}&view=pins" }
    questions += ['view=wires', 'pin=K11:86&show=stands']
    [*questions.map { |question| "/circuits/#{id}?#{question}" }, "/drafts/#{draft.id}"]
  end

  # Of a unit that has charging sessions, a drift, and of one that has traces.
  def round_paths
    ids = Server::Models::Unit.where(number: %w[B-15 T-21]).order(:number).select_map(:id)
    ["/units/#{ids.first}/rounds/charge", "/units/#{ids.first}/rounds/batteries", "/units/#{ids.last}/traces", "/tag/#{ids.first}",
     "/units/#{ids.first}/grounds"]
  end

  def engine_paths
    ids = Server::Models::Unit.where(number: %w[P-01 W-11]).order(:number).select_map(:id)
    ["/units/#{ids.first}/engine?at=plugs", "/units/#{ids.first}/engine?at=cap", "/units/#{ids.last}/engine?at=kill", '/sums/sender_on_gauge']
  end

  # Both themes of what is on the screen, without loading it again.
  def expect_clean(what)
    # The other theme has other colours, and nothing else.
    rules_of = { 'light' => '', 'dark' => "{ runOnly: ['color-contrast'] }" }
    rules_of.slice(*Extent.of(['light'], rules_of.keys)).each do |theme, rules|
      page.execute_script("document.documentElement.dataset.theme = '#{theme}'")
      expect([what, theme, serious_findings(rules)]).to eq([what, theme, []])
    end
  end

  it 'has nothing serious or critical on a sixth of the views, in the long part on any view in either theme', :only_looks, :seeds do
    visit '/'
    expect(page).to have_field('E-mail')
    expect_clean('sign-in')
    sign_in_as('lead')
    unit = Server::Models::Unit.first(number: 'B-14')
    job = Server::Models::Job.first(unit_id: unit.id)
    paths = ['/', '/tonight', '/units', "/units/#{unit.id}", '/units/new', "/units/#{unit.id}/edit", "/units/#{unit.id}/jobs/new", '/jobs',
             '/house-rules', '/sums/cold_crank', '/circuits', *circuit_paths, '/shelf', *round_paths, "/batteries/#{Server::Models::Battery.first.id}",
             "/jobs/#{job.id}", *engine_paths]
    Extent.sample(paths, one_in: 6).each do |path|
      visit path
      expect(page).to have_css('h1')
      expect(page).to have_no_css('[role=status]', text: 'Reading')
      expect_clean(path)
    end
  end

  it 'has nothing serious or critical on the pad and the sheets over a page, in either theme', :long, :only_looks do
    sign_in_as('lead')
    visit "/jobs/#{Server::Models::Job.first(unit_id: Server::Models::Unit.first(number: 'B-14').id).id}"
    find('[data-step] button').click
    expect(page).to have_css('form[aria-label^="Reading"]')
    expect_clean('pad')
    click_button 'Osric Vane, lead'
    click_button 'Change your password'
    expect(page).to have_field('The new one')
    expect_clean('you')
    click_button 'Close'
    expect(page).to have_no_css('[role=dialog]')
    click_button 'Record a repair'
    expect(page).to have_css('[role=dialog]')
    expect_clean('repair')
  end
end
