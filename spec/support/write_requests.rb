# frozen_string_literal: true

# A right body for every write the OpenAPI document knows, on rows of the demo fleet: what mutated ones are made from.
class WriteRequests
  Write = Struct.new(:verb, :template, :ids, :body, keyword_init: true) do
    def path = template.gsub(/\{(\w+)\}/) { ids.fetch(Regexp.last_match(1)).to_s }
  end
  VERBS = %w[post put patch delete].freeze
  MODELS = Server::Models

  # @return [Array<Array(String, String)>] verb and template of every write in the document
  def self.described
    OpenapiDocument::CONTENT['paths'].flat_map { |path, verbs| (verbs.keys & VERBS).map { |verb| [verb, path] } }
  end

  def initialize
    @unit = MODELS::Unit.first(number: 'B-14')
    @job = MODELS::Job.first(unit_id: @unit.id, state: 'open')
  end

  # @return [Array<Write>]
  def all = people + units + batteries + care + rounds + parts + jobs + circuits + drafts + rules

  private

  def uuid = SecureRandom.uuid
  def write(verb, template, body = {}, **ids) = Write.new(verb: verb, template: template, ids: ids.transform_keys(&:to_s), body: body)

  def people
    account = MODELS::Account.first(role: 'driver')
    yard = MODELS::Yard.first
    [write('post', '/api/sign-in', { login: 'reader@skarrow.example', password: 'wrong' }), write('post', '/api/sign-out'),
     write('put', '/api/session/password', { current: 'wrong', fresh: 'long enough' }),
     write('post', '/api/sessions/{id}/end', id: uuid), write('post', '/api/requests/{id}/settlement', id: uuid),
     write('post', '/api/people', { name: 'Ivo', email: "#{uuid}@spec.example", role: 'driver', password: 'first words of many' }),
     write('post', '/api/people/{id}/release', id: account.id),
     write('patch', '/api/people/{id}', { name: 'Ivo', email: account.email, role: 'driver', blocked: false }, id: account.id),
     write('put', '/api/yards/{id}/night', { dawn: Date.today.iso8601, low_celsius: -7.5, day_before_celsius: -2.0 }, id: yard.id),
     write('post', '/api/mornings', { dawn: Date.today.iso8601, entries: [{ unit_id: @unit.id, outcome: 'slow' }] }),
     write('put', '/api/units/{id}/parked', { since: (Date.today - 3).iso8601 }, id: @unit.id),
     write('post', '/api/units/{id}/start-changes', { id: uuid, kind: 'oil', on: Date.today.iso8601 }, id: @unit.id),
     write('post', '/api/yards', { name: "Yard #{uuid}", time_zone: 'Europe/London' }),
     write('patch', '/api/yards/{id}', { name: yard.name, time_zone: 'Europe/London' }, id: yard.id)]
  end

  def units
    fields = { number: "U#{uuid[0, 6]}", name: 'Spec bus', kind: 'bus', yard_id: @unit.yard_id, system_volt: 12, arrangement: 'parallel',
               battery_count: 2, usual_cranking_current_ampere: 600, alternator_rating_ampere: 120, has_isolator: true, has_sense: true }
    [write('post', '/api/units', { id: uuid, **fields }),
     write('patch', '/api/units/{id}', { lock_version: @unit.lock_version, **fields, number: @unit.number }, id: @unit.id),
     write('post', '/api/units/{id}/retire', id: @unit.id), write('post', '/api/units/{id}/return', id: @unit.id),
     write('post', '/api/units/{id}/fittings', { position: 'A', battery: { id: uuid, tag: "T#{uuid[0, 6]}", type: 'agm', rating_ampere: 800,
                                                                           rating_standard: 'EN', capacity_ampere_hour: 100, date_code: 'K24' } },
           id: @unit.id),
     write('post', '/api/units/{id}/fittings/{position}/take-off', id: @unit.id, position: 'B')]
  end

  def rounds
    kept = MODELS::Reading.first(unit_id: MODELS::Unit.first(number: 'B-15').id, job_id: nil, test_key: 'posts_rest')
    reading = { id: uuid, test_key: 'posts_cranking', value_text: '10.4', unit: 'V', conditions: { battery_temperature_celsius: '8' },
                together: [{ id: uuid, test_key: 'cranking_current', value_text: '410', unit: 'A', conditions: { value_confirmed: 'no' } }] }
    [write('post', '/api/units/{id}/rounds/{kind}/readings', reading, id: @unit.id, kind: 'start'),
     write('post', '/api/units/{id}/rounds/{kind}/readings/{reading}/withdrawal', { reason: 'x' }, id: kept.unit_id, kind: 'charge',
reading: kept.id),
     write('post', '/api/units/{id}/crank-traces', {}, id: @unit.id)]
  end

  def parts
    spare = MODELS::Asset.first(tag: 'ST-300')
    plate = { id: uuid, tag: "P#{uuid[0, 6]}", rating: 4.0, note: 'new' }
    [write('post', '/api/parts', { **plate, kind: 'starter' }),
     write('post', '/api/units/{id}/parts', { place: 'starter', asset: { **plate, id: uuid, tag: "P#{uuid[0, 6]}" } }, id: @unit.id),
     write('post', '/api/units/{id}/parts/take-off', { place: 'starter' }, id: @unit.id),
     write('post', '/api/parts/{id}/scrap', { reason: 'x' }, id: spare.id), write('post', '/api/parts/{id}/keep', id: spare.id)]
  end

  def batteries
    battery = MODELS::Battery.first
    spare = MODELS::Battery.first(tag: 'S-101')
    label = { id: uuid, tag: "T#{uuid[0, 6]}", type: 'gel', rating_ampere: 700, rating_standard: 'SAE', capacity_ampere_hour: 90, date_code: 'C25' }
    [write('post', '/api/batteries', label),
     write('post', '/api/batteries/{id}/checks', { id: uuid, rest_volt: 12.6, charged: true, confirmed: false }, id: spare.id),
     write('post', '/api/batteries/{id}/scrap', { reason: 'cracked' }, id: spare.id), write('post', '/api/batteries/{id}/keep', id: spare.id),
     write('patch', '/api/batteries/{id}', { lock_version: battery.lock_version, type: battery.type, rating_ampere: battery.rating_ampere,
                                             rating_standard: battery.rating_standard, date_code: battery.date_code }, id: battery.id)]
  end

  # What is looked after and planned beside the jobs.
  def care
    ground = Server::Queries::UnitGrounds.new(@unit).round.order.first
    drop = { text: '20', ampere: 12.5, confirmed: false }
    note = MODELS::AccessNote.first(unit_class_id: @unit.unit_class_id)
    dawn = MODELS::Night.dawns(Time.now.utc).fetch(@unit.yard_id).iso8601
    [write('post', '/api/units/{id}/grounds/{uuid}/services', { id: uuid, before: drop, after: drop, done: ['cleaned'], note: '' },
           id: @unit.id, uuid: ground.uuid),
     write('post', '/api/units/{id}/second-ground', { id: uuid, section_mm2: 35, note: 'along the rail' }, id: @unit.id),
     write('post', '/api/units/{id}/second-ground/removal', { reason: 'bracket cleaned' }, id: @unit.id),
     write('post', '/api/units/{id}/access', { id: uuid, place: 'Starter', text: 'wheel arch' }, id: @unit.id),
     write('post', '/api/units/{id}/access/{note}/end', id: @unit.id, note: note.id),
     write('put', '/api/units/{id}/plan', { dawn: dawn, key: 'heat', planned: true }, id: @unit.id),
     write('put', '/api/tonight/plan', { ticks: [{ unit_id: @unit.id, dawn: dawn, key: 'charge' }] }),
     write('post', '/api/units/{id}/notices', { id: uuid, what: 'Worn sheath', place: 'left', severity: 'soon' }, id: @unit.id),
     write('post', '/api/notices/{id}/end', { reason: 'taped' }, id: MODELS::Notice.first(severity: 'soon').id)]
  end

  def jobs
    reading = MODELS::Reading.where(job_id: MODELS::Job.where(state: 'open').select(:id)).first
    value = { value_text: '12,6', unit: 'V', state: 'rest', instrument: 'multimeter', taken_at: Time.now.utc.iso8601,
              conditions: { value_confirmed: 'yes', battery_temperature_celsius: '12' }, acknowledged: [] }
    [write('post', '/api/jobs', { id: uuid, unit_id: @unit.id, symptom: { work: 'starting' }, complaint: 'Clicks', seen: 'x', lamps: ['lamps die'],
                                  attempts: [{ what: 'battery', by_whom: 'driver', result: 'same', fitted_without_diagnosis: true }] }),
     write('post', '/api/jobs', { id: uuid, unit_id: @unit.id, complaint: 'Dark', seen: '',
                                  symptom: { work: 'auxiliary_load', part: 'K1', situation: 'cranking', seen: 'dead' } }),
     write('patch', '/api/jobs/{id}', { lock_version: @job.lock_version, complaint: 'Clicks', symptom: { work: 'starting' }, seen: '' }, id: @job.id),
     write('post', '/api/jobs/{id}/attempts', { what: 'battery', by_whom: 'driver' }, id: @job.id),
     write('post', '/api/jobs/{id}/readings', { id: uuid, test_key: 'posts_rest', position: nil, **value }, id: @job.id),
     write('post', '/api/jobs/{id}/readings', { id: uuid, value_text: '12,1', unit: 'V', taken_at: Time.now.utc.iso8601, acknowledged: [],
                                                conditions: { posts_now_volt: 12.3 },
                                                probe: { by: 'volts', from: 'K1:86', to: 'K1:85', situation: 'cranking', opened: ['X1'] } },
           id: @job.id),
     write('post', '/api/readings/{id}/correction', { id: uuid, reason: 'misread', **value }, id: reading.id),
     write('post', '/api/readings/{id}/withdrawal', { reason: 'wrong unit' }, id: reading.id), *work, *endings]
  end

  def work
    disturbance = MODELS::Disturbance.create(id: uuid, job_id: @job.id, what: 'lead off')
    repair = { id: uuid, element: 'block_strap', cause: 'corrosion', action: 'cleaned', minutes: 20, temporary: true, place: 'block', parts: '',
               temporary_until: '2027-01-01', temporary_reason: 'no strap', failing_reading_id: nil, disturbed: ['strap'] }
    [write('post', '/api/jobs/{id}/repairs', repair, id: @job.id),
     write('post', '/api/jobs/{id}/repairs', { **repair.except(:element), id: uuid, unit: 'wire 4' }, id: @job.id),
     write('post', '/api/repairs/{id}/make-permanent', id: MODELS::Repair.still_temporary.first.id),
     write('post', '/api/jobs/{id}/disturbances', { id: uuid, what: 'lead off' }, id: @job.id),
     write('post', '/api/disturbances/{id}/put-back', id: disturbance.id),
     write('post', '/api/jobs/{id}/under-machine', { somebody: true }, id: @job.id),
     write('post', '/api/jobs/{id}/condemnations', { id: uuid, element: 'battery', position: 'A', override_reason: 'seen' }, id: @job.id)]
  end

  def endings
    %w[close park reopen cancel].map do |ending|
      write('post', '/api/jobs/{id}/{ending}', { lock_version: @job.lock_version, reason: 'because' }, id: @job.id, ending: ending)
    end
  end

  def circuits
    fitted = MODELS::UnitSheet.current.eager(version: :sheet).all.first
    wire = fitted.version.to_core.wires.first
    [write('post', '/api/circuits', { content: fitted.version.content, wires_csv: nil }),
     write('post', '/api/circuits/{id}/own-facts', { item: wire.uuid, field: 'colour', was: wire.colour, says: 'pink', why: 'Seen' }, id: fitted.id),
     write('post', '/api/circuits/{id}/stop-proofs', { id: uuid, device: wire.uuid, asked: 'off', outcome: 'stopped', seconds: 2.5 }, id: fitted.id),
     write('post', '/api/circuits/{id}/stop-answers', { id: uuid, device: wire.uuid, words: 'Pulled by hand' }, id: fitted.id),
     write('post', '/api/units/{id}/engine-entries',
           { id: uuid, craft: 'kill', kind: 'branch_ohm', sheet: fitted.id, device: wire.uuid, branch: '6', ohm: '3 M' }, id: fitted.unit_id),
     write('post', '/api/units/{id}/engine-entries',
           { id: uuid, craft: 'plugs', kind: 'change', cylinder: 3, part: 'lead', words: 'From stock', new_part: true }, id: fitted.unit_id),
     write('post', '/api/units/{id}/engine-entries',
           { id: uuid, craft: 'cap', kind: 'wired', order: '1-3-4-2', rotation: 'clockwise', first_at: 3, numbering: 'Front first', intervals: [90],
             towers: [1, 3, 4, 2], weak: [3], wasted: false }, id: fitted.unit_id),
     write('post', '/api/units/{id}/engine-entries',
           { id: uuid, craft: 'sum', kind: 'kept', sum: 'dwell', typed: { degrees: '50', cylinders: '4' } }, id: fitted.unit_id),
     write('post', '/api/engine-entries/{id}/strike', { reason: 'Other engine' }, id: uuid),
     write('post', '/api/circuits/{id}/units', { units: [fitted.unit_id] }, id: fitted.version_id),
     write('post', '/api/units/{id}/circuits', { version_id: fitted.version_id }, id: fitted.unit_id),
     write('post', '/api/units/{id}/circuits/as-sisters', id: @unit.id),
     write('post', '/api/units/{id}/rulings', { id: uuid, conflict_key: 'x', choice: 'y', note: '' }, id: fitted.unit_id)]
  end

  def drafts
    version = MODELS::SheetVersion.first
    draft = MODELS::SheetDraft.begin({ id: uuid, version_id: version.id }, by: MODELS::Account.first)
    row = draft.rows.first
    [write('post', '/api/drafts', { id: uuid, version_id: version.id, key: nil, title: nil, system_volt: nil }),
     write('put', '/api/drafts/{id}/rows', { rows: [{ item_uuid: row.item_uuid, kind: row.kind, row_version: 1, typed: row.typed.to_h }] },
           id: draft.id),
     write('put', '/api/drafts/{id}/head', { head_version: 1, title: 'Other' }, id: draft.id),
     write('post', '/api/drafts/{id}/copies', { components: [row.item_uuid] }, id: draft.id),
     write('post', '/api/drafts/{id}/list-columns', { csv: "wire,from,to\n1,A,B" }, id: draft.id),
     write('post', '/api/drafts/{id}/lists',
           { csv: "wire,from,to\n1,A,B", columns: { number: 0, from: 1, to: 2 }, length_unit: 'm', components: true }, id: draft.id),
     write('post', '/api/drafts/{id}/publication', { onto: nil }, id: draft.id),
     *%w[undo cancellation end].map { |act| write('post', "/api/drafts/{id}/#{act}", id: draft.id) }]
  end

  def rules
    limit = Wattomneum::Limits::Table.shipped.to_a.find { |one| !one.fixed }
    [write('put', '/api/schools/{question}', { answer: 'x' }, question: Wattomneum::Schools::Choices::QUESTIONS.keys.first),
     write('put', '/api/limits/{id}', { value: limit.value * 1.01, reason: 'ours' }, id: limit.row_id),
     write('post', '/api/limits/{id}/as-shipped', id: limit.row_id)]
  end
end
