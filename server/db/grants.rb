# frozen_string_literal: true

require 'yaml'

module Server
  # What the application's own role may do: read and write, but never change evidence. Append-only holds by triggers too.
  module Grants
    # @return [Hash{String => Array<String>}] append_only, audited and scratch to names of tables
    TABLES = YAML.safe_load_file(File.join(__dir__, 'tables.yml')).freeze

    # @param db [Sequel::Database] connected as the owner
    # @param role [String]
    # @param password [String]
    def self.give(db, role:, password:)
      db.run("create role #{role} login") if db[:pg_roles].where(rolname: role).empty?
      db.run("alter role #{role} password #{db.literal(password)}")
      db.run("grant usage on schema public to #{role}")
      db.run("grant select, insert, update, delete on all tables in schema public to #{role}")
      db.run("grant usage, select on all sequences in schema public to #{role}")
      TABLES.fetch('append_only').each { |table| db.run("revoke update, delete, truncate on #{table} from #{role}") }
      db.run("revoke insert, update, delete on schema_info from #{role}")
    end
  end
end
