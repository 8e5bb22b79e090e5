# frozen_string_literal: true

port ENV.fetch('PORT', 4567), '127.0.0.1'
threads 1, 6
rackup File.join(__dir__, 'config.ru')
quiet
# Ours answers in a sentence before this does; this one keeps a body without end off the disk. The largest is a packed trace.
http_content_length_limit 68 * 1024 * 1024

processes = ENV.fetch('WEB_PROCESSES', 2).to_i
if processes.positive?
  workers processes
  preload_app!
  before_fork { Object.const_get('Server::DB').disconnect } # a bare Server is the web server's own in here
end
