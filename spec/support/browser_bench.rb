# frozen_string_literal: true

require_relative 'journey'

# A job worked on as its screens offer it.
module BrowserBench
  include Journey

  # As a link or a bookmark leads there; the palette is driven where it is the subject.
  def visit_unit(number)
    visit "/units/#{Server::Models::Unit.first(number: number).id}"
    expect(page).to have_css('h1', text: number)
  end

  # @param about [Hash] the symptom, where it is not starting: thing as the list names it
  def open_job_on(number, complaint, thing: nil, how: 'does nothing')
    @about = thing
    visit "/units/#{Server::Models::Unit.first(number: number).id}/jobs/new"
    fill_in 'Complaint, in the driver’s words', with: complaint
    if thing
      choose 'something else on its circuit'
      find('button', text: how).click
      fill_in how == 'stays on' ? 'What stays on' : 'What does not work', with: thing
    end
    press find_button('Open the job')
    expect(page).to have_css('[data-step]')
  end

  def next_step
    card = find('[data-step]')
    said = %i[test position element unit].to_h { |name| [name, card["data-#{name}"]] }.reject { |_, text| text.empty? }
    probe = card['data-probe']
    said[:probe] = JSON.parse(probe, symbolize_names: true) unless probe.empty?
    said.merge(kind: card['data-step'])
  end

  def close_job
    find('[data-step] button').click
    expect(page).to have_content('This job is closed')
  end

  def take_reading(step, unit)
    shown = measured(step, unit)
    before = readings_shown
    find('[data-step] button').click
    within('form[aria-label^="Reading"]') { enter(step, shown) }
    wait_for_saving_or_question(before + 1)
    find('form [role=alert]').find('button', text: 'as I typed it').click if asked?
    expect(page).to have_css("[data-readings='#{before + 1}']")
    expect(page).to have_no_css('form[aria-label^="Reading"]')
  end

  def readings_shown = find('[data-readings]')['data-readings'].to_i

  def enter(step, measured)
    say_conditions(measured.conditions)
    if measured.observation
      find("input[value='#{measured.observation}']").click
    else
      fill_in 'Reading', with: typed(step, measured)
    end
    press find_button('Save the reading')
  end

  # On a phone the bar at the foot may lie over what is in view by its edge: a thumb scrolls first.
  def press(button)
    scroll_to(button, align: :center)
    button.click
  end

  def say_conditions(conditions)
    conditions.each do |key, said|
      label = Wattomneum::Evidence::Conditions::DEFINITIONS.fetch(key)['label']
      if said.is_a?(Numeric)
        fill_in label, with: said.to_s if page.has_field?(label, wait: 0, exact: false)
      elsif page.has_css?(answers(key, label), wait: 0)
        press find(answers(key, label)).find_button(said)
      end
    end
  end

  # What it does meanwhile is labelled by what it is.
  def answers(key, label) = "[role=radiogroup][aria-label#{key == 'meanwhile' ? "$=' meanwhile'" : "='#{label}'"}]"

  # Whichever comes first ends the wait.
  def wait_for_saving_or_question(count)
    expect(page).to have_css("[data-readings='#{count}']").or have_css('form [role=alert] button')
  end

  def asked? = page.has_css?('form [role=alert] button', wait: 0)

  def record_repair(_step)
    find('[data-step] button').click
    within('[role=dialog]') do
      fill_in 'Minutes', with: '25'
      fill_in 'Disturbed to get there', with: 'Negative lead off the battery'
      click_button 'Save the repair'
    end
    expect(page).to have_no_css('[role=dialog]')
  end

  # @return [Array<String>] parts whose repair is proved by the reading that failed
  def proved
    expect(page).to have_content('proved by the reading that failed')
    all('li', text: 'proved by the reading that failed').map { |line| line.find('p', match: :first).text }
  end

  def put_everything_back
    all('button', text: 'Put back').each(&:click)
    expect(page).to have_no_button('Put back', disabled: :all)
  end
end
