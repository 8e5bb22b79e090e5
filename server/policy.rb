# frozen_string_literal: true

module Server
  # Who may do what: one matrix, checked on the server, printed in docs/roles.md.
  module Policy
    ROLES_BY_ACTION = {
      read: %w[electrician lead driver reader],
      report_fault: %w[electrician lead driver],
      take_reading: %w[electrician lead],
      work_on_job: %w[electrician lead],
      say_morning: %w[electrician lead driver],
      edit_units: %w[electrician lead],
      edit_batteries: %w[electrician lead],
      edit_circuits: %w[electrician lead],
      retire_units: %w[lead],
      lift_hold: %w[lead],
      override_ladder: %w[lead],
      set_house_rules: %w[lead],
      manage_people: %w[lead],
      manage_yards: %w[lead]
    }.freeze
    ROLES = ROLES_BY_ACTION.values.flatten.uniq.freeze

    # @param role [String]
    # @param action [Symbol] key of ROLES_BY_ACTION
    # @return [Boolean]
    def self.allows?(role, action) = ROLES_BY_ACTION.fetch(action).include?(role)

    # @param role [String]
    # @return [Array<String>] actions this role may take
    def self.actions_of(role)
      ROLES_BY_ACTION.select { |_, roles| roles.include?(role) }.keys.map(&:to_s)
    end
  end
end
