# frozen_string_literal: true

RSpec.describe 'On a phone, 390 by 844', :phone do
  def no_sideways_scroll
    expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= 390
  end

  before { sign_in_as('electrician') }

  it 'works a job from complaint to close, with no sideways scroll anywhere', :long do
    visit '/'
    no_sideways_scroll
    open_job_on('B-15', 'Just clicks')
    no_sideways_scroll
    kinds = work_to_the_end(with_bad_joint('B-15', 'frame', 'negative_post', ohm: 0.09, seed: 4))
    expect(kinds).to include('repair', 'prove', 'close')
    no_sideways_scroll
    ['/units', '/jobs', '/units/new'].each do |path|
      visit path
      expect(page).to have_css('h1')
      no_sideways_scroll
    end
  end

  it 'takes digits by thumb, with targets of 48 px or more', :only_looks do
    job = Server::Models::Job.first(state: 'open')
    visit "/jobs/#{job.id}"
    select 'Posts of the bank, engine stopped', from: 'Another test'
    click_button 'Take it'
    ['1', '2', 'Decimal comma', '6'].each { |key| click_button key, exact: true }
    expect(page).to have_field('Reading', with: '12,6')
    sizes = page.evaluate_script(<<~JS)
      [...document.querySelectorAll('form[aria-label^=Reading] button')].map((b) => Math.min(b.offsetHeight, b.offsetWidth))
    JS
    expect(sizes.min).to be >= 48
  end

  it 'counts down for the one at the key, and for nobody while somebody is under the machine' do
    job = Server::Models::Job.first(state: 'open')
    visit "/jobs/#{job.id}"
    select 'Posts of the bank while cranking', from: 'Another test'
    click_button 'Take it'
    expect(page).to have_button('Count down to the crank', disabled: true)
    check 'Seen and done'
    within('section[aria-label="Call the crank"]') do
      expect(page).to have_text('Ready')
      click_button 'Count down to the crank'
      expect(page).to have_text('Crank, ', wait: 15)
      check 'I am, or somebody with me is, under the machine'
      expect(page).to have_text('Nobody cranks').and have_button('Count down to the crank', disabled: true)
      uncheck 'I am, or somebody with me is, under the machine'
      expect(page).to have_text(/Let go\. Rest \d+ s/)
    end
    no_sideways_scroll
  end

  it 'takes what one crank shows in one act, by the digits for gloves, and asks about the odd one' do
    visit "/jobs/#{clicking.id}"
    find('[data-step] button').click
    click_digits '0,06'
    fill_in 'Posts, cranking', with: ''
    click_digits '12300'
    within('[role=radiogroup][aria-label="Engine meanwhile"]') { press find_button('does not turn') }
    press find_button('Save the reading')
    expect(page).to have_css('form [role=alert]', text: '12300')
    press find('form [role=alert]').find('button', text: '12.30 V')
    expect(page).to have_css("[data-readings='3']")
    kept = Server::Models::Reading.where(job_id: clicking.id).exclude(test_key: 'cranking_behaviour').order(:test_key).all
    expect(kept.map { |one| [one.test_key, one.value, one.conditions['engine_meanwhile']] })
      .to eq([['ground_drop', 0.06, 'does not turn'], ['posts_cranking', 12.3, 'does not turn']])
    no_sideways_scroll
  end

  def click_digits(text) = text.chars.each { |key| press find_button(key == ',' ? 'Decimal comma' : key, exact: true) }

  # A job whose engine clicks once, so that posts, case and stud come next.
  def clicking
    @clicking ||= begin
      by = Server::Models::Account.first(role: 'electrician')
      job = Server::Models::Job.open({ id: SecureRandom.uuid, unit_id: Server::Models::Unit.first(number: 'B-15').id, complaint: 'Clicks once',
                                       symptom: { work: 'starting' } }, by: by)
      job.take_reading({ id: SecureRandom.uuid, test_key: 'cranking_behaviour', observation: 'click' }, by: by, now: Time.now.utc)
      job
    end
  end
end
