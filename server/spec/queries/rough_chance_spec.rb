# frozen_string_literal: true

RSpec.describe Server::Queries::RoughChance do
  let(:models) { Server::Models }

  # Every unit that can be forecast, in one night: rough beside exact, as far apart as the logistic curve is from the normal one.
  def rough_and_exact
    models::StartThreshold.dataset.join(:unit, id: :unit_id).join(:night, yard_id: Sequel[:unit][:yard_id])
                          .where(Sequel[:night][:dawn] => Date.new(2031, 1, 5))
                          .select_all(:start_threshold).select_append(:matters, :parked_since, :low_celsius, :day_before_celsius,
                                                                      Sequel[:night][:dawn], described_class.consequence.as(:rough)).map do |row|
      nights = models::Unit.nights_parked(row[:parked_since], row[:dawn])
      evening = row.evening(low_celsius: row[:low_celsius], day_before_celsius: row[:day_before_celsius], nights_parked: nights)
      [row[:rough], Wattomneum::ColdStart::Consequence.rank(evening.chance(row[:low_celsius]), row[:matters])]
    end
  end

  it 'comes within a hundredth of what each unit is worked out to, standing or not, cold or mild' do
    [-24.0, -15.0, -12.0, -10.0, -6.0].each { |celsius| models::StartThreshold.where(unit_id: a_unit.id).update(celsius: celsius) }
    a_unit(number: "RC#{SecureRandom.hex(3)}", parked_since: Date.new(2030, 12, 20), matters: 'urgent')
    models::Yard.each do |yard|
      models::Night.create(yard_id: yard.id, dawn: Date.new(2031, 1, 5), low_celsius: -11.0, day_before_celsius: 2.0, source: 'typed')
    end
    compared = rough_and_exact
    expect(compared.size).to be >= 6
    expect(compared).to all(satisfy { |rough, exact| (rough - exact).abs < 0.01 * 2.5 })
    expect(compared.map(&:last).minmax.reduce(:-).abs).to be > 0.2
  end
end
