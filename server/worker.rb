# frozen_string_literal: true

# Loaded by the queue's own command: bundle exec que server/worker.rb
require_relative 'boot'
Server::Workers::Nightly.plan
Server::Workers::WorkOutAnew.if_missing
Server::Workers::AskWeather.plan
Server::Models::SheetDrawing.order_missing
Server::Models::UnitSheet.find_missing_stops
