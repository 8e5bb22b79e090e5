# frozen_string_literal: true

# The evening list and the morning's tap, on a phone and without a mouse.
RSpec.describe 'Cold starts' do
  def unit = Server::Models::Unit.first(number: 'A-04')
  def outcome = Server::Models::Morning.first(unit_id: unit.id, dawn: Server::Models::Yard.day_of(Time.now.utc, unit.yard.time_zone))&.outcome

  # In the morning the list asks how they started, in the evening it says who may not: yards where it is that hour just now.
  def in_yards_at(hours)
    zone = %w[Europe/London America/Los_Angeles Asia/Tokyo Pacific/Auckland America/New_York Asia/Kolkata].find do |one|
      hours.cover?(Server::DB.get(Sequel.lit('extract(hour from now() at time zone ?)', one)).to_i)
    end
    Server::Models::Yard.dataset.update(time_zone: zone)
  end

  def evening = (13..22)
  def morning = (1..11)

  it 'lists who may not start once a low is typed, says what would help, and keeps how it started this morning', :phone do
    in_yards_at(evening)
    sign_in_as('driver')
    visit '/'
    expect(page).to have_css('h2', text: 'May not start tonight')
    field = find_field('Ridge Camp')
    field.send_keys([:control, 'a'], '-24', :enter)
    expect(page).to have_content('typed')
    click_button 'more of these'
    expect(page).to have_link(unit.number)
    expect(Server::Models::Night.where(source: 'typed').select_map(:low_celsius)).to eq([-24.0])
    click_link unit.number, match: :first
    within_section('Cold start') do
      expect(page).to have_content('What would help')
      expect(page).to have_content('Tonight at −24 °C no start')
      find('button', text: 'Jumped').send_keys(:space)
      expect(page).to have_css('button[aria-checked=true]', text: 'Jumped')
    end
    # What is tapped is shown at once, and kept a moment later.
    page.document.synchronize(10) { raise Capybara::ExpectationNotMet unless outcome == 'jumped' }
    page.refresh
    expect(page).to have_css('button[aria-checked=true]', text: 'Jumped')
    expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= 390
  end

  it 'asks in the morning how cold it was and how they started, and whether a figure was read in Fahrenheit' do
    in_yards_at(morning)
    dawn = Server::Models::Night.dawns(Time.now.utc).fetch(unit.yard_id)
    night = Server::Models::Night.where(yard_id: unit.yard_id, dawn: dawn)
    night.delete
    night.insert(yard_id: unit.yard_id, dawn: dawn, low_celsius: -9.0, source: 'weather', said_at: Time.now.utc)
    sign_in_as('driver')
    visit '/'
    expect(page).to have_css('h2', text: 'How did they start this morning?')
    find_field('Ridge Camp').send_keys([:control, 'a'], '14', :enter)
    click_button '14 °F, which is −10 °C'
    # Other yards may have said so already.
    expect(page).to have_css('form', text: /Ridge Camp.*as measured/m)
    expect(night.get(:measured_celsius)).to eq(-10.0)
  end

  it 'counts what is ticked in the evening, and keeps it over a reload' do
    in_yards_at(evening)
    dawn = Server::Models::Night.dawns(Time.now.utc).fetch(unit.yard_id)
    Server::Models::Night.dataset.insert_conflict(target: %i[yard_id dawn], update: { low_celsius: -24.0 })
                         .insert(yard_id: unit.yard_id, dawn: dawn, low_celsius: -24.0, source: 'typed', said_at: Time.now.utc)
    sign_in_as('electrician')
    visit '/'
    row = -> { find('section[aria-labelledby=tonight] li', text: unit.number) }
    row.call.find('label', text: 'Heat the engine overnight').click
    expect(page).to have_css('[role=status]', text: /Ticked: 10 min. Expected not to start/)
    expect(row.call).to have_css('s')
    page.refresh
    expect(row.call).to have_field(type: 'checkbox', checked: true)
  end

  def within_section(name, &) = within(find('section', text: name, match: :first), &)
end
