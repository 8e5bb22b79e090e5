# frozen_string_literal: true

# How to get at places: written once for a class, shown where somebody has to get there.
RSpec.describe Server::Routes::AccessNotes do
  before do
    Server::Models::Sheet.bring_in_shipped
    sign_in_as('electrician')
  end

  let(:of_class) { Server::Models::UnitClass.named('Ferrow', SecureRandom.hex(3)) }
  let(:unit) { a_unit(unit_class_id: of_class.id) }
  let(:sister) { a_unit(unit_class_id: of_class.id) }

  def access(truck = unit) = read("/api/units/#{truck.id}/access")

  def note(truck = unit, **fields)
    write(:post, "/api/units/#{truck.id}/access", { id: SecureRandom.uuid, place: 'Starter', text: 'From the left wheel arch, 15 mm', **fields })
  end

  it 'stands on every unit of the class until it is struck out' do
    kept = note['notes']
    expect([status, kept.map { |one| one['place'] }, access(sister)['notes']]).to eq([201, ['Starter'], kept])
    expect(access(a_unit(unit_class_id: Server::Models::UnitClass.named('Ferrow', SecureRandom.hex(3)).id))['notes']).to be_empty
    write(:post, "/api/units/#{sister.id}/access/#{kept.first['id']}/end", {})
    expect([status, access['notes']]).to eq([200, []])
  end

  it 'names the places of the unit, so that a note hangs on one of them' do
    expect(access['places']).to include(a_string_matching(/starter/i), a_string_starting_with('Battery'))
  end

  it 'is shown with the step that goes there, and with no other' do
    post = access['places'].find { |place| place.start_with?('Battery') }
    note(place: post.upcase, text: 'Cover off, two clips')
    note(place: 'Somewhere else', text: 'no')
    machine = Server::Queries::UnitCircuits.new(unit.id).drawn
    notes = Server::Models::AccessNote.of_class(of_class.id)
    step = ->(key) { Wattomneum::Faults::Step.of_test(key, why: '') }
    named = %w[posts_cranking cranking_behaviour].map { |key| Server::Presenters::StepAccess.call(notes, step.call(key), machine) }
    expect(named).to eq([[{ place: post.upcase, text: 'Cover off, two clips' }], []])
  end

  it 'refuses a unit of no class, a note without words, and another class\'s note' do
    note(a_unit)
    expect([status, last_response.body]).to match([422, include('no make and model')])
    note(text: ' ')
    expect(status).to eq(422)
    id = note['notes'].first['id']
    write(:post, "/api/units/#{a_unit.id}/access/#{id}/end", {})
    expect(status).to eq(404)
  end

  it 'is read by a driver and written by nobody but who works on units' do
    sign_in_as('driver')
    expect(access['notes']).to eq([])
    note
    expect(status).to eq(403)
  end
end
