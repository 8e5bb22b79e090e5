# frozen_string_literal: true

# Clients that write one reading after another, each until it is acknowledged, as an outbox does: same ids until there is an answer.
class WritingClients
  Sent = Struct.new(:id, :acknowledged, keyword_init: true)

  # @param house [WholeHouse]
  # @param job_ids [Array<String>] one a client
  def initialize(house, job_ids)
    @house = house
    @job_ids = job_ids
    @going = Concurrent::AtomicBoolean.new(true)
  end

  def start
    @threads = @job_ids.map { |job_id| Thread.new { write_on(job_id) } }
    self
  end

  # @return [Array<Sent>] once every one has its answer
  def finish
    @going.make_false
    @threads.flat_map(&:value)
  end

  private

  def write_on(job_id)
    cookie = nil
    sent = []
    while @going.true?
      one = Sent.new(id: SecureRandom.uuid, acknowledged: false)
      sent << one
      request_id = SecureRandom.uuid
      until one.acknowledged
        cookie ||= sign_in
        one.acknowledged = cookie && acknowledged?(cookie, job_id, one.id, request_id)
      end
    end
    sent
  end

  def sign_in
    quietly { @house.caller.tap { |one| one.sign_in('electrician@skarrow.example') }.cookie }
  end

  def acknowledged?(cookie, job_id, id, request_id)
    body = { id: id, test_key: 'posts_rest', value_text: '12.6', unit: 'V', conditions: { value_confirmed: 'yes' } }
    quietly do
      one = @house.caller.tap { |caller| caller.cookie = cookie }
      reply = one.post("/api/jobs/#{job_id}/readings", body, id: request_id)
      raise "refused: #{reply.code} #{reply.body}" if reply.code.to_i.between?(400, 499)

      reply.code == '201'
    ensure
      one&.close
    end
  end

  # A dead connection is no answer.
  def quietly
    yield
  rescue SystemCallError, IOError, Net::HTTPBadResponse, Net::ReadTimeout, Net::OpenTimeout
    Thread.pass
    nil
  end
end
