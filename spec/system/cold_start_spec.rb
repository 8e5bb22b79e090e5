# frozen_string_literal: true

# The evening list and the morning's tap, on a phone and without a mouse.
RSpec.describe 'Cold starts' do
  def unit = Server::Models::Unit.first(number: 'A-04')
  def outcome = Server::Models::Morning.first(unit_id: unit.id, dawn: Server::Models::Yard.day_of(Time.now.utc, 'Europe/London'))&.outcome

  it 'lists who may not start once a low is typed, says what would help, and keeps how it started this morning', :phone do
    sign_in_as('driver')
    visit '/'
    expect(page).to have_css('h2', text: /May not start tonight|How did they start/)
    field = find_field('Ridge Camp')
    field.send_keys([:control, 'a'], '-24', :enter)
    expect(page).to have_content('typed')
    expect(page).to have_link(unit.number)
    expect(Server::Models::Night.where(source: 'typed').select_map(:low_celsius)).to eq([-24.0])
    click_link unit.number, match: :first
    within_section('Cold start') do
      expect(page).to have_content('What would help')
      expect(page).to have_content('Tonight at −24 °C no start')
      find('button', text: 'Jumped').send_keys(:space)
      expect(page).to have_css('button[aria-checked=true]', text: 'Jumped')
    end
    expect(outcome).to eq('jumped')
    page.refresh
    expect(page).to have_css('button[aria-checked=true]', text: 'Jumped')
    expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= 390
  end

  def within_section(name, &) = within(find('section', text: name, match: :first), &)
end
