# frozen_string_literal: true

require 'open3'

RSpec.describe Server::Book::Svg do
  Wattomneum::Circuits::Library.keys.each do |key| # rubocop:disable Style/HashEachMethods -- no hash
    it "is well-formed, with every wire's number and every part's name, of #{key}" do
      svg = described_class.new(Drawn.pictures(key), title: 'F1 <& "quoted">').to_s
      out, status = Open3.capture2e('xmllint', '--noout', '-', stdin_data: svg)
      expect([out, status.success?]).to eq(['', true])
      texts = Nokogiri::XML(svg).css('text').map(&:text)
      sheet = Wattomneum::Circuits::Library.fetch(key)
      expect(sheet.wires.map(&:number) - texts.map { |text| text.split.first }).to be_empty
      wired = sheet.wires.flat_map { |wire| [wire.from, wire.to] }.map { |node| node.split(':').first }.uniq
      expect(wired - texts.map { |text| text.split.first }).to be_empty
    end
  end
end
