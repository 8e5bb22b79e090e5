# frozen_string_literal: true

# What is typed is neither lost nor written twice, whatever becomes of the network, the session, the page or the other person.
RSpec.describe 'Writing' do
  let(:unit) { Server::Models::Unit.first(number: 'T-03') }
  let(:job) { Server::Models::Job.first(unit_id: unit.id, state: 'open') }

  before { sign_in_as('electrician') }
  after { Interference.stop }

  def readings = Server::Models::Reading.where(job_id: job.id).count

  def open_pad
    visit "/jobs/#{job.id}"
    select 'Posts of the bank, engine stopped', from: 'Another test'
    click_button 'Take it'
  end

  def type_and_save(text)
    fill_in 'Reading', with: text
    press find_button('Save the reading')
  end

  def offline
    Browser.chrome.execute_cdp('Network.enable')
    Browser.network(offline: true)
    yield
  ensure
    Browser.network(offline: false)
  end

  it 'takes a reading once whose reply was lost, over a reload, and asks before it sends what was changed since' do
    open_pad
    Interference.with(:lose_reply)
    type_and_save('25.3')
    expect(page).to have_content('The server gave no clear answer')
    expect(readings).to eq(1)
    open_pad
    expect(page).to have_field('Reading', with: '25.3')
    press find_button('Save the reading')
    # The evidence counted it before it was sent again: only the pad tells that the answer came.
    expect(page).to have_no_field('Reading')
    expect(page).to have_css('#evidence span', exact_text: '1')
    expect(readings).to eq(1)

    open_pad
    Interference.with(:lose_reply)
    type_and_save('25.2')
    expect(page).to have_content('The server gave no clear answer')
    type_and_save('25.1')
    expect(page).to have_content('was saved after all')
    expect(page).to have_field('Reading', with: '25.1')
    expect([readings, page]).to match([2, have_css('#evidence span', exact_text: '2')])
  end

  it 'sends anew what never arrived, changed or not, and only that' do
    open_pad
    Interference.with(:gateway_timeout)
    type_and_save('25.3')
    expect(page).to have_content('The server gave no clear answer')
    type_and_save('25.4')
    expect(page).to have_css('#evidence span', exact_text: '1')
    expect(Server::Models::Reading.where(job_id: job.id).select_map(:value_text)).to eq(['25.4'])
  end

  it 'keeps what waits for the network in order, over a restart, shows what was refused and lets it be mended' do
    open_pad
    offline do
      type_and_save('25.3')
      expect(page).to have_button('1 waiting')
      fill_in 'Taken off or opened', with: 'Negative lead'
      click_button 'Note it'
      expect(page).to have_button('2 waiting')
      fill_in 'Reason, where one is needed', with: 'Waits for a part'
      click_button 'Park it'
      expect(page).to have_button('3 waiting')
      job.update(seen: 'somebody else was here')
    end
    visit '/units'
    expect(page).to have_button('1 refused')
    expect([readings, Server::Models::Disturbance.where(job_id: job.id).count, job.refresh.state]).to eq([1, 1, 'open'])
    click_button '1 refused'
    expect(page).to have_content('Somebody else changed this job meanwhile')
    click_button 'Mend it where it was typed'
    expect(page).to have_field('Reason, where one is needed', with: 'Waits for a part')
    expect(page).to have_no_button('refused')
    press find_button('Park it')
    expect(page).to have_content('This job is parked')
  end

  # A browser closes what a sleeping tab holds open, or wants its room: the page goes on with a new connection.
  it 'keeps what is typed offline after the browser closed the store under the page' do
    open_pad
    Browser.chrome.execute_cdp('Storage.clearDataForOrigin', origin: Capybara.current_session.server.base_url, storageTypes: 'indexeddb')
    offline do
      type_and_save('25.3')
      expect(page).to have_button('1 waiting')
    end
    expect(page).to have_no_button('1 waiting')
    expect(readings).to eq(1)
  end

  it 'shows both versions of a unit that somebody else changed, and saves what was chosen line by line' do
    visit "/units/#{unit.id}/edit"
    expect(page).to have_select('Yard', selected: 'High Dam').and have_select('Kind', selected: 'truck')
    fill_in 'Name', with: 'My name for it'
    Server::Models::Unit.where(id: unit.id).update(name: 'Their name', number: 'T-03b', lock_version: unit.lock_version + 1)
    press find_button('Save the unit')
    within('[aria-label="Both versions"]') do
      expect(page).to have_content('mine: My name for it, theirs: Their name')
      find('[aria-label=Name]').click_button('mine')
      find('[aria-label=Number]').click_button('theirs')
      click_button 'Go on with these'
    end
    press find_button('Save the unit')
    expect(page).to have_css('h1', text: 'T-03b My name for it')
  end

  it 'keeps a sheet as it was typed when the session ends while the tab sleeps' do
    visit "/jobs/#{job.id}"
    click_button 'Record a repair'
    select 'Strap, BLOCK to FRAME', from: 'Part'
    fill_in 'Parts', with: 'Strap 35 mm'
    Server::Models::Session.dataset.update(ended_at: Time.now.utc, ended_because: 'spec')
    fill_in 'Minutes', with: '1h 30'
    press find_button('Save the repair')
    within(find_field('E-mail').ancestor('[role=dialog]')) do
      fill_in 'E-mail', with: 'electrician@skarrow.example'
      fill_in 'Password', with: Demo::PASSWORD
      click_button 'Sign in'
    end
    expect(page).to have_field('Parts', with: 'Strap 35 mm')
    press find_button('Save the repair')
    expect(page).to have_content('90 min')
  end

  it 'shows nobody else at the same device what was typed, and lets it be thrown away' do
    visit "/jobs/#{job.id}"
    click_button 'Record a repair'
    fill_in 'Parts', with: 'Not for other eyes'
    visit '/'
    sign_out
    sign_in_as('lead')
    visit "/jobs/#{job.id}"
    click_button 'Record a repair'
    expect(page).to have_field('Parts', with: '')
    visit '/'
    sign_out
    sign_in_as('electrician')
    visit "/jobs/#{job.id}"
    click_button 'Record a repair'
    expect(page).to have_field('Parts', with: 'Not for other eyes')
    click_button 'Throw away what is typed'
    expect(page).to have_field('Parts', with: '')
  end

  it 'asks before it signs out while something waits, and sends it under its owner only' do
    open_pad
    offline do
      type_and_save('25.3')
      expect(page).to have_button('1 waiting')
      find('nav').click_button('Sign out')
      expect(page).to have_content('1 entry waits on this device')
    end
    expect(page).to have_css('#evidence span', exact_text: '1')
    expect(readings).to eq(1)
  end
end
