# frozen_string_literal: true

# Works on a job as its next step says, with readings from a unit that hides a fault; nothing is typed from an expected verdict.
module Bench
  MOST_STEPS = 45
  Hidden = Wattomneum::Simulation::Fault

  # @return [Wattomneum::Simulation::SimulatedUnit] the unit of the database with a fault in it
  def simulated(number, element, kind, amount = nil, position = nil, seed: 1)
    unit = Server::Models::Unit.first(number: number)
    batteries = Server::Models::Fitting.current.where(unit_id: unit.id).eager(:battery).all.to_h { |one| [one.position, one.battery.to_core] }
    Wattomneum::Simulation::SimulatedUnit.new(system: unit.core_system(batteries), seed: seed, temperature_celsius: 8.0,
                                              faults: [Hidden.new(element: element, kind: kind, amount: amount, position: position)])
  end

  def find_unit(number)
    find('body').send_keys('/')
    fill_in 'Find a unit, battery or job', with: number
    expect(page).to have_css('[role=option]', text: number)
    find_field('Find a unit, battery or job').send_keys(:enter)
    expect(page).to have_css('h1', text: number)
  end

  def open_job_on(number, complaint)
    find_unit(number)
    click_link 'Open a job'
    fill_in 'Complaint, in the driver’s words', with: complaint
    press find_button('Open the job')
    expect(page).to have_css('[data-step]')
  end

  def next_step
    card = find('[data-step]')
    { kind: card['data-step'], test: card['data-test'], position: card['data-position'], element: card['data-element'],
      title: card.find('h2').text }
  end

  # @return [Array<String>] kinds of the steps taken, in order
  def work_to_the_end(unit)
    kinds = []
    MOST_STEPS.times do
      step = next_step
      kinds << step[:kind]
      break if step[:kind] == 'watch'

      do_step(step, unit)
      break if step[:kind] == 'close'
    end
    kinds
  end

  def do_step(step, unit)
    case step[:kind]
    when 'repair', 'condemn' then record_repair(step, unit)
    when 'put_back' then put_everything_back
    when 'close'
      find('[data-step] button').click
      expect(page).to have_content('This job is closed')
    else
      unit.charge(step[:position]) if step[:kind] == 'charge'
      take_reading(step, unit)
    end
  end

  def take_reading(step, unit)
    position = step[:position].empty? ? nil : step[:position]
    measured = unit.measure(step[:test], position: position)
    before = readings_shown
    find('[data-step] button').click
    within('form[aria-label^="Reading"]') { enter(measured) }
    wait_for_saving_or_question(before + 1)
    find('form [role=alert]').find('button', text: 'as I typed it').click if asked?
    expect(page).to have_css('#evidence span', exact_text: (before + 1).to_s)
    expect(page).to have_no_css('form[aria-label^="Reading"]')
  end

  def readings_shown = find('#evidence span').text.to_i

  def enter(measured)
    say_conditions(measured.conditions)
    if measured.observation
      find("input[value='#{measured.observation}']").click
    else
      fill_in 'Reading', with: measured.value.to_s.tr('.', ',')
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
      elsif page.has_css?("[role=radiogroup][aria-label='#{label}']", wait: 0)
        press find("[role=radiogroup][aria-label='#{label}']").find_button(said)
      end
    end
  end

  # Whichever comes first ends the wait.
  def wait_for_saving_or_question(count)
    expect(page).to have_css('#evidence span', exact_text: count.to_s).or have_css('form [role=alert] button')
  end

  def asked? = page.has_css?('form [role=alert] button', wait: 0)

  def record_repair(step, unit)
    expect(find('[data-step]')).to have_text('rounded post off first')
    find('[data-step] button').click
    within('[role=dialog]') do
      fill_in 'Minutes', with: '25'
      fill_in 'Disturbed to get there', with: 'Negative lead off the battery'
      click_button 'Save the repair'
    end
    expect(page).to have_no_css('[role=dialog]')
    unit.mend(step[:element], step[:position].empty? ? nil : step[:position])
  end

  def put_everything_back
    all('button', text: 'Put back').each(&:click)
    expect(page).to have_no_button('Put back', disabled: :all)
  end
end
