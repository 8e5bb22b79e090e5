# frozen_string_literal: true

RSpec.describe 'Bad moments' do
  let(:job) { Server::Models::Job.first(unit_id: Server::Models::Unit.first(number: 'T-03').id) }

  before do
    sign_in_as('electrician')
    visit "/jobs/#{job.id}"
    find('[data-step] button').click
  end

  def rows = Server::Models::Reading.where(job_id: job.id).count

  def choose_click = find("input[value='click']").click
  def save = click_button('Save the reading')

  it 'keeps a half-taken reading over a reload, and when the session has run out, and goes on after signing in again' do
    choose_click
    visit "/jobs/#{job.id}"
    find('[data-step] button').click
    expect(find("input[value='click']")).to be_checked
    page.driver.browser.manage.delete_all_cookies
    save
    within('[role=dialog]') do
      fill_in 'E-mail', with: 'electrician@skarrow.example'
      fill_in 'Password', with: Demo::PASSWORD
      click_button 'Sign in'
    end
    expect(page).to have_no_css('[role=dialog]')
    save
    expect(page).to have_css('#evidence span', text: '1')
    expect(rows).to eq(1)
  end

  it 'says what was wrong with a value, keeps what was typed, and takes a double tap once' do
    click_button 'Leave it'
    select 'Posts of the bank, engine stopped', from: 'Another test'
    click_button 'Take it'
    fill_in 'Reading', with: 'about 25'
    save
    expect(page).to have_content('"about 25" is not a number')
    expect(page).to have_field('Reading', with: 'about 25')
    fill_in 'Reading', with: '12.6'
    save
    expect(page).to have_content('12.60 V is unusual here')
    expect(rows).to eq(0)
    page.execute_script('arguments[0].click(); arguments[0].click()', find_button('as I typed it'))
    expect(page).to have_css('#evidence span', text: '1')
    expect(rows).to eq(1)
  end
end
