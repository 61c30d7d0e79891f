# frozen_string_literal: true

require "bundler/setup"
require "json"
require "sinatra/base"
require "sequel"
require "openapi_first"
require_relative "../core/lib/kippen"

module Kippen
  # The web server's side: routes parse, call the core and the store, and render.
  module Server
    ROOT = File.expand_path("..", __dir__)
    CONTRACT = File.join(__dir__, "contract", "openapi.yaml")
    DATA = File.join(ROOT, "core", "data")
    KNOWLEDGE = Knowledge.read(DATA)
    KINDS, CODES, CATALOGUE, COMBINATIONS, ARRANGEMENTS, SETTINGS = *KNOWLEDGE
  end
end

require_relative "store/database"
require_relative "store/accounts"
require_relative "store/audit"
require_relative "store/everything"
require_relative "store/clients"
require_relative "store/revisions"
require_relative "store/save"
require_relative "store/history"
require_relative "store/confirmations"
require_relative "store/listeners"
require_relative "store/contacts"
require_relative "store/news"
require_relative "store/raw_messages"
require_relative "store/joins"
require_relative "store/tries"
require_relative "store/streams"
require_relative "store/bench_desk"
require_relative "store/benches"
require_relative "api/problem"
require_relative "api/outermost"
require_relative "api/body_limit"
require_relative "api/one_connection"
require_relative "auth/address"
require_relative "auth/sign_in"
require_relative "auth/secrets"
require_relative "auth/session_cookie"
require_relative "auth/csrf"
require_relative "auth/guard"
require_relative "auth/rates"
require_relative "auth/outside"
require_relative "api/contract_errors"
require_relative "api/render"
require_relative "api/render_bench"
require_relative "api/render_devices"
require_relative "api/render_wants"
require_relative "api/render_lanes"
require_relative "api/preview"
require_relative "api/sessions"
require_relative "api/accounts"
require_relative "api/clients"
require_relative "api/devices"
require_relative "api/lanes"
require_relative "api/revisions"
require_relative "api/history"
require_relative "api/arrangements"
require_relative "api/confirmations"
require_relative "api/listeners"
require_relative "api/bench"
require_relative "api/joins"
require_relative "api/joined"
require_relative "api/standins"
require_relative "api/live"
require_relative "api/app"
require_relative "api/pages"
