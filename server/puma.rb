# frozen_string_literal: true

port ENV.fetch('PORT', 4567), '127.0.0.1'
threads 1, 8
rackup File.join(__dir__, 'config.ru')
quiet
