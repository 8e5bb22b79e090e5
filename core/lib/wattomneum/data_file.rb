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

    # @param folder [String] folder under core/data
    # @return [Hash{String => String}] text of every YAML file in it, by name without its ending, in order
    def self.texts(folder)
      Dir[File.join(ROOT, folder, '*.yml')].to_h { |path| [File.basename(path, '.yml'), File.read(path, encoding: 'UTF-8').freeze] }.freeze
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
