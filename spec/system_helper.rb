# frozen_string_literal: true
