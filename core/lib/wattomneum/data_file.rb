# frozen_string_literal: true

require 'yaml'

module Wattomneum
  # The one seam through which core reads its own data folder, once, at load.
  module DataFile
    ROOT = File.expand_path('../../data', __dir__)

    # @param name [String] file name under core/data without its ending
    # @return [Array, Hash] deep-frozen content with string keys
    # @raise [Errno::ENOENT] if core ships no such file
    def self.load(name)
      freeze_deep(YAML.safe_load_file(File.join(ROOT, "#{name}.yml")))
    end

    def self.freeze_deep(node)
      case node
      when Hash then node.each_value { |value| freeze_deep(value) }
      when Array then node.each { |value| freeze_deep(value) }
      end
      node.freeze
    end
    private_class_method :freeze_deep
  end
end
