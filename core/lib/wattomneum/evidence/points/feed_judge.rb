# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # A feed with its plug off, at its terminal against the posts of the same moment. Under a lamp it clears or convicts; with nothing hung
      # on it it only convicts, since a meter reads nearly full volts through a megohm of corrosion.
      class FeedJudge < Judge
        # @param reading [Readings::PointReading]
        # @param circumstances [Circumstances]
        # @param test [Readings::TestDefinition] that says how much may be missing
        def initialize(reading, circumstances, test)
          super(reading, circumstances)
          @test = test
        end

        # @return [Judgement]
        def call
          @posts_volt = circumstances.posts_volt(reading)
          return needs_posts if @posts_volt.nil?

          @most = limit(@test.limit)
          sum("posts #{Figure.volt(@posts_volt)} - #{Wording.inside(@test.short)} #{reading.spoken} = #{Figure.volt(lost)}, " \
              "at most #{Figure.volt(@most)}")
          reading.conditions.said('load_on') == :yes ? loaded : unloaded
        end

        private

        # What a meter shows has few decimals; binary noise must not decide at a limit.
        def lost = (@posts_volt - value).round(6)
        def error = MeterError.difference(@posts_volt, value, half_digits: [reading.half_digit])
        def share_percent = 100.0 * value / @posts_volt
        def open? = share_percent < limit('evidence.open_share')
        def said = { volt: reading.spoken, feed: @test.short, lost: Figure.volt(lost), most: Figure.volt(@most || 0.0) }
        def figures = { excess_volt: [lost, 0.0].max }

        # Under a tenth of the system no posts of a unit that has its lamps on could have been meant.
        def needs_posts
          @posts_volt = machine.sheet.system_volt.to_f
          return fails('feed.dead', traps: stray_volts) if open? && proved_meter?

          finding('feed.needs_posts', 'unproven', said: said, validity: 'unstated', weight: 'none', instead: 'Read the posts beside it and say them')
        end

        # A zero that convicts asks for a meter proved on a live point.
        def proved_meter? = value.abs >= ZERO_VOLT || reading.conditions.said('meter_proved') == :yes

        def loaded
          return carries if lost < @most - error
          return under_its_lamp if behind_its_lamp? && !(lights.nil? && open?)
          return at_limit if lost <= @most + error

          fails(open? ? 'feed.open' : 'feed.sinks')
        end

        # Where the charge lamp lies in the feed, a lamp of 21 W gets next to nothing through it.
        def behind_its_lamp?
          lamp = circumstances.uses.charge_lamp or return false
          finder = circumstances.paths(probe)
          !finder.to_battery(probe.from).plain? && lamp.pins.any? { |pin| finder.between(probe.from, lamp.node(pin)).plain? }
        end

        # That the charge lamp lights through the lamp that is hung on says that the feed is whole; through a rubbed place it is lit before.
        def lights
          return false if circumstances.uses.charge_lamp_apart(reading.round) == 'lit'

          said = reading.conditions.said('charge_lamp_lights')
          return said == :yes if %i[yes no].include?(said)

          true if circumstances.uses.charge_lamp_seen(reading.round) == 'lit' && circumstances.uses.charge_lamp_apart(reading.round) == 'dark'
        end

        def under_its_lamp
          return lamp_decides if lights.nil?
          return finding('feed.through_lamp', 'sound', said: said, weight: 'support', figures: figures) if lights

          fails(open? ? 'feed.open' : 'feed.sinks')
        end

        def lamp_decides
          finding('feed.lamp_decides', 'unproven', said: said, validity: 'unstated', weight: 'none', figures: figures,
                                                   instead: Conditions::DEFINITIONS.fetch('charge_lamp_lights')['instead'])
        end

        def carries = finding('feed.carries', 'sound', said: said, weight: 'support', figures: figures, rules_out: [@test.short])

        def at_limit
          sum("the meter may be off by #{Figure.volt(error)}")
          finding('feed.at_limit', 'watch', said: said, figures: figures, instead: 'Read it again, straight after the posts')
        end

        def unloaded
          return fails('feed.dead', traps: stray_volts) if open?
          return ghost_volts if share_percent < limit('evidence.ghost_share')

          said_no = reading.conditions.said('load_on') == :no
          finding('feed.unloaded', 'unproven', said: said, weight: 'hint', would_be: 'sound', validity: said_no ? 'valid' : 'unstated',
                                               instead: 'Hang a lamp on the terminal and read again', figures: figures,
                                               traps: ['A meter draws a microampere: it reads this through a megohm of corrosion'])
        end

        def stray_volts
          value.abs > ZERO_VOLT ? ['A tenth of a volt or so is stray coupling, not a feed'] : []
        end

        # 80 to 95 % of the supply on the meter: what hides in series, by the meter's own input.
        def ghost_volts
          ohm = SeriesResistance.behind_meter(supply_volt: @posts_volt, shown_volt: value, meter_ohm: limit('evidence.meter_input'))
          sum("#{Figure.ohm(limit('evidence.meter_input'))} x (#{Figure.volt(@posts_volt)} / #{Figure.volt(value)} - 1) = #{Figure.ohm(ohm)}")
          fails('feed.ghost', more: { series_resistance_ohm: ohm }, ohm: Figure.ohm(ohm),
                              traps: ['Holds only with the load and every parallel path unplugged; corrosion drifts: read it twice'])
        end

        # Where along it, is for drops to say.
        def fails(code, more: {}, traps: [], **words)
          finding(code, 'act', said: said.merge(words), weight: 'support', figures: figures.merge(more), traps: traps, rules_in: [@test.short],
                               rules_out: ['Alternator condemned before this feed is mended'])
        end
      end
    end
  end
end
