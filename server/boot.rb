# frozen_string_literal: true

require 'bootsnap'
# A third less to wait at every start: compiled files and where they lie are kept.
Bootsnap.setup(cache_dir: File.expand_path('../var/cache', __dir__), compile_cache_yaml: false)

require 'digest'
require 'json'
require 'securerandom'
require 'time'
require 'sequel'
require 'que'
require 'sinatra/base'
require 'rack/protection'
require 'dry/validation'
require 'zeitwerk'
require_relative '../core/lib/wattomneum'
require_relative 'config'

# The web side: HTTP in, core and database behind it.
module Server
  ROOT = File.expand_path('..', __dir__)
  CONFIG = Config.new(ENV)

  # Times leave the database in UTC.
  Sequel.default_timezone = :utc
  DB = Sequel.connect(CONFIG.database_url, max_connections: 12, keep_reference: false)
  DB.extension(:pg_json, :pg_array, :pg_range)
  DB.wrap_json_primitives = false
  Sequel.extension(:pg_json_ops, :pg_range_ops, :pg_array_ops)
  Sequel::Model.db = DB
  Sequel::Model.plugin :forbid_lazy_load
  Sequel::Model.plugin :dataset_associations
  Que.connection = DB

  loader = Zeitwerk::Loader.new
  loader.push_dir(__dir__, namespace: Server)
  loader.ignore(*%w[db spec boot.rb config.rb puma.rb worker.rb].map { |name| File.join(__dir__, name) })
  loader.setup
  # Core too: what is put in its place on the disk while this runs must not be mixed with what is in memory.
  Zeitwerk::Loader.eager_load_all unless CONFIG.test?
rescue ArgumentError => e
  abort "wattomneum: #{e.message}"
end
