# frozen_string_literal: true

RSpec.describe 'By keyboard alone' do
  include Keyboard

  def on_page(text) = expect(page).to(have_content(text))

  it 'goes from signing in over finding a unit to a closed job' do
    visit '/'
    expect(page).to have_field('E-mail')
    count_pointers
    tab_to_label('E-mail')
    press('electrician@skarrow.example', :tab, Demo::PASSWORD, :enter)
    expect(page).to have_css('h1', text: 'Today')
    press('/', 'B-15')
    expect(page).to have_css('[role=option]', text: 'B-15')
    press(:enter)
    expect(page).to have_css('h1', text: 'B-15')
    tab_to { |on| on.tag == 'a' && on.text.include?('Open a job') }
    press(:enter)
    expect(page).to have_field('Complaint, in the driver’s words')
    tab_to_label('Complaint')
    press('Just clicks')
    tab_to_button('Open the job')
    press(:enter)
    expect(page).to have_css('[data-step]')
    work_by_keyboard(with_bad_joint('B-15', 'engine_block', 'frame', ohm: 0.085))
    on_page('This job is closed')
    expect(pointers_used).to eq(0)
  end

  def work_by_keyboard(unit)
    Journey::MOST_STEPS.times do
      step = next_step
      key_step(step, unit)
      break if step[:kind] == 'close'
    end
  end

  def key_step(step, unit)
    case step[:kind]
    when 'repair' then key_repair(step, unit)
    when 'put_back'
      tab_to_button('Put back')
      press(:enter)
      expect(page).to have_no_button('Put back', disabled: :all)
    when 'close'
      blur_and_press('n')
      on_page('This job is closed')
    else key_reading(step, unit)
    end
  end

  def key_reading(step, unit)
    shown = measured(step, unit)
    before = readings_shown
    blur_and_press('n')
    expect(page).to have_css('form[aria-label^="Reading"]')
    shown.observation ? key_observation(shown.observation) : key_figure(typed(step, shown))
    key_conditions(shown.conditions)
    tab_to_button('Save the reading')
    press(:enter)
    wait_for_saving_or_question(before + 1)
    if asked?
      tab_to_button('as I typed it')
      press(:enter)
    end
    expect(page).to have_css('#evidence span', text: (before + 1).to_s)
  end

  def key_observation(wanted)
    tab_to { |on| on.type == 'radio' }
    press(:space)
    12.times { focused.value == wanted ? break : press(:arrow_down) }
  end

  def key_figure(value)
    tab_to { |on| on.id == 'pad-value' }
    press(value)
  end

  def key_conditions(conditions)
    conditions.each do |key, said|
      label = Wattomneum::Evidence::Conditions::DEFINITIONS.fetch(key)['label']
      if said.is_a?(Numeric)
        next unless page.has_field?(label, wait: 0, exact: false)

        tab_to_label(label)
        press(said.to_s)
      elsif page.has_css?("form [role=radiogroup][aria-label='#{label}']", wait: 0)
        tab_to { |on| on.text == said && on.group == label }
        press(:space)
      end
    end
  end

  def key_repair(step, unit)
    blur_and_press('n')
    expect(page).to have_css('[role=dialog]')
    tab_to_label('Minutes')
    press('20')
    tab_to_label('Disturbed')
    press('Negative lead')
    tab_to_button('Save the repair')
    press(:enter)
    expect(page).to have_no_css('[role=dialog]')
    unit.mend(**step.slice(:element, :unit, :position))
  end
end
