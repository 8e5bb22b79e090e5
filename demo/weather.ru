# frozen_string_literal: true

# A weather service as there are many, simulated: GET /night?place=Ridge+Camp&dawn=2026-11-28 answers with JSON. bin/start keeps it beside the
# demo fleet; WEATHER=off leaves it out.
require 'json'
require 'uri'
require_relative 'weather'

weather = Demo::Weather.new
json = { 'content-type' => 'application/json' }

run(lambda do |env|
  asked = URI.decode_www_form(env['QUERY_STRING'].to_s).to_h
  dawn = Date.iso8601(asked.fetch('dawn', ''))
  night = weather.night(asked['place'], dawn)
  next [404, json, ['{"error":"nothing is known of this place and day"}']] if night.nil? || env['PATH_INFO'] != '/night'

  measured = dawn < Date.today || (dawn == Date.today && Time.now.hour >= 7) ? night.low : nil
  told = { place: asked['place'], dawn: dawn.iso8601, low_celsius: night.forecast, day_before_celsius: night.day_before, measured_celsius: measured }
  [200, json, [JSON.generate(told)]]
rescue ArgumentError # Date::Error is one
  [400, json, ['{"error":"say place and dawn, as in dawn=2026-11-28"}']]
end)
