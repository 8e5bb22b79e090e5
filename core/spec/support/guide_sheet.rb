# frozen_string_literal: true

# The sheet that docs/writing-a-sheet.md writes, as its tables have it.
module GuideSheet
  TEXT = File.read(File.expand_path('../../../docs/writing-a-sheet.md', __dir__))
  COLUMNS = Wattomneum::Circuits::Drafting::TypedRow::COLUMNS

  # @return [Wattomneum::Circuits::Drafting::Draft]
  def guide_draft
    more, problems = Wattomneum::Circuits::Drafting::Draft.read_more(TEXT[/```yaml\n(.*?)```/m, 1])
    raise problems.join if problems.any?

    head = { 'sheet' => 'start_telehandler', 'title' => 'Start, telehandler', 'system_volt' => 12, **more }
    rows = table('component', '| Id |') + table('wire', '| Wire |')
    Wattomneum::Circuits::Drafting::Draft.new(head, rows)
  end

  private

  def table(kind, first)
    lines = TEXT[TEXT.index(first)..].lines.take_while { |line| line.start_with?('|') }.drop(2)
    lines.map do |line|
      texts = line.strip.delete_prefix('|').delete_suffix('|').split('|').map(&:strip)
      uuid = Wattomneum::Circuits::Sheet.first_uuid('guide', kind, texts.first)
      Wattomneum::Circuits::Drafting::Draft::Row.new(uuid: uuid, kind: kind, typed: COLUMNS.fetch(kind).zip(texts).to_h.transform_values(&:to_s))
    end
  end
end
