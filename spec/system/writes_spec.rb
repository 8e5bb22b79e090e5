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

  # What of the form is on the device, told by another page of the same origin.
  def kept_states
    page.evaluate_async_script(<<~JS)
      const done = arguments[0]
      const asked = indexedDB.open('unsent')
      asked.onsuccess = () => {
        const all = asked.result.transaction('unsent').objectStore('unsent').getAll()
        all.onsuccess = () => { asked.result.close(); done(all.result.map((one) => one.state)) }
      }
    JS
  end

  it 'sends what got no answer again by itself, over a page that went, once; no pad opens with it' do
    taken = -> { Server::Models::Reading.where(job_id: job.id).order(:taken_at).select_map(:value_text) }
    open_pad
    Interference.with(:lose_reply)
    type_and_save('25.3')
    expect(page).to have_css('#evidence span', exact_text: '1').and have_no_button('waiting')
    open_pad
    expect(page).to have_field('Reading', with: '')
    fill_in 'Reading', with: '25.2'
    # The page goes between the request and its answer.
    page.execute_script('window.fetch = () => new Promise(() => undefined)')
    press find_button('Save the reading')
    expect(page).to have_button('Saving …', disabled: true)
    expect(kept_states).to eq(['sending'])
    visit '/units'
    expect(page).to have_css('h1').and have_no_button('waiting')
    expect(taken.call).to eq(%w[25.3 25.2])
    open_pad
    expect(page).to have_field('Reading', with: '')
    Interference.with(:gateway_timeout, times: 2)
    type_and_save('25.4')
    expect(page).to have_css('#evidence span', exact_text: '3')
    expect([taken.call, kept_states]).to eq([%w[25.3 25.2 25.4], []])
  end

  it 'keeps what waits in order, on the page it belongs to and over a restart, and shows there what was refused' do
    open_pad
    offline do
      type_and_save('25.3')
      expect(page).to have_button('1 waiting')
      within('[aria-label="Not yet sent"]') { expect(page).to have_content('read, not yet sent') }
      expect(find('[data-step]')).to have_content('this step does not know of it')
      find('[data-step] button').click
      find("input[value='click']").click
      press find_button('Save the reading')
      expect(find('[data-step]')).to have_content('You read this; it is not sent yet. Go by the answers above').and have_button('Read it again')
      fill_in 'Taken off or opened', with: 'Negative lead'
      click_button 'Note it'
      expect(page).to have_button('3 waiting')
      fill_in 'Reason, where one is needed', with: 'Waits for a part'
      click_button 'Park it'
      expect(page).to have_button('4 waiting')
      find('nav').click_button('Sign out')
      expect(page).to have_content('4 entries wait on this device')
      job.update(seen: 'somebody else was here')
    end
    visit '/'
    expect(page).to have_button('1 refused')
    within('[aria-label="Not yet sent"]') { expect(page).to have_content('Somebody else changed this job meanwhile') }
    expect([readings, Server::Models::Disturbance.where(job_id: job.id).count, job.refresh.state]).to eq([2, 1, 'open'])
  end

  it 'lets what was refused be mended without losing a word, be it the newer one' do
    visit "/jobs/#{job.id}"
    fill_in 'Reason, where one is needed', with: 'Waits for a part'
    offline do
      click_button 'Park it'
      expect(page).to have_button('1 waiting')
      job.update(seen: 'somebody else was here')
    end
    expect(page).to have_button('1 refused')
    # Something newer is typed there: the refused one takes its place from nobody.
    visit "/jobs/#{job.id}"
    fill_in 'Reason, where one is needed', with: 'Newer words'
    click_button '1 refused'
    within('[role=dialog]') { click_button 'Mend it where it was typed' }
    expect(page).to have_content('Something newer is typed there')
    find('[role=dialog]').send_keys(:escape)
    fill_in 'Reason, where one is needed', with: ''
    click_button '1 refused'
    within('[role=dialog]') { click_button 'Mend it where it was typed' }
    expect(page).to have_field('Reason, where one is needed', with: 'Waits for a part')
    # Until it is saved both are there.
    expect(page).to have_button('1 refused')
    press find_button('Park it')
    expect(page).to have_content('This job is parked').and have_no_button('1 refused')
    expect(kept_states).to eq([])
  end

  # A browser closes what a sleeping tab holds open, or wants its room: the page goes on with a new connection.
  it 'keeps what is typed offline after the browser closed the store under the page, and says so where the device keeps nothing more' do
    open_pad
    Browser.chrome.execute_cdp('Storage.clearDataForOrigin', origin: Capybara.current_session.server.base_url, storageTypes: 'indexeddb')
    offline do
      type_and_save('25.3')
      expect(page).to have_button('1 waiting')
    end
    expect(page).to have_no_button('1 waiting')
    expect(readings).to eq(1)

    open_pad
    page.execute_script(<<~JS)
      IDBObjectStore.prototype.put = () => { throw new DOMException('full', 'QuotaExceededError') }
      Storage.prototype.setItem = () => { throw new DOMException('full', 'QuotaExceededError') }
    JS
    fill_in 'Reading', with: '25.2'
    expect(page).to have_css('[role=alert]', text: 'This device keeps nothing more')
    offline do
      press find_button('Save the reading')
      expect(page).to have_content('leave this page open until the network is back')
      expect(page).to have_field('Reading', with: '25.2')
    end
    press find_button('Save the reading')
    expect(page).to have_css('#evidence span', exact_text: '2')
    click_button 'Yard or cab'
    expect(page.evaluate_script('document.documentElement.dataset.theme')).to eq('dark')
  end

  it 'keeps a draft apart for each tab, gives a new tab what a closed one left, and takes back what was taken back' do
    visit "/units/#{unit.id}/jobs/new"
    fill_in 'Complaint, in the driver’s words', with: 'Of the first tab'
    first = page.current_window
    second = open_new_window
    within_window(second) do
      visit "/units/#{unit.id}/jobs/new"
      expect(page).to have_field('Complaint, in the driver’s words', with: '')
      fill_in 'Complaint, in the driver’s words', with: 'Of the second tab'
      visit "/units/#{unit.id}/jobs/new"
      expect(page).to have_field('Complaint, in the driver’s words', with: 'Of the second tab')
      second.close
    end
    page.switch_to_window(first)
    visit "/units/#{unit.id}/jobs/new"
    expect(page).to have_field('Complaint, in the driver’s words', with: 'Of the first tab')
    fill_in 'Complaint, in the driver’s words', with: ''
    # A browser takes its time to close a tab: until then what was typed there is that tab's.
    10.times do
      visit "/units/#{unit.id}/jobs/new"
      break if page.has_field?('Complaint, in the driver’s words', with: 'Of the second tab', wait: 2)
    end
    expect(page).to have_field('Complaint, in the driver’s words', with: 'Of the second tab')
    fill_in 'Complaint, in the driver’s words', with: 'Just clicks'
    click_button 'Open the job'
    expect(page).to have_css('h1', text: unit.number).and have_css('[data-step]')
    expect(kept_states).to eq([])
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
end
