# frozen_string_literal: true

require File.join(Server::ROOT, 'core/spec/support/heavy_sheets')
