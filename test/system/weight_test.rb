# frozen_string_literal: true

require "open3"
require_relative "helper"

module Kippen
  # What is loaded before anything can be seen, as somebody on a slow line has to wait for it.
  class WeightTest < SystemTest
    def test_no_page_is_heavier_than_it_may_be
      told, ended = Open3.capture2e("node", File.join(Server::ROOT, "web", "scripts", "weigh.mjs"))
      assert ended.success?, told
    end
  end
end
