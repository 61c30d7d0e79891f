# frozen_string_literal: true

require_relative "committed"
require "yaml"

module Kippen
  # Every operation of the contract is sent what nobody means well by, in every parameter and member. Made
  # from the contract: what is added to it is walked. Of all that can be sent, a part by chance; all with
  # bin/siege hostile.
  class HostileWalkTest < CommittedCase
    SHARE = Float(ENV.fetch("KIPPEN_SHARE", "0.005"))
    SEED = Integer(ENV.fetch("KIPPEN_SEED", "1"), 10)
    CONTRACT = YAML.safe_load_file(Server::CONTRACT)
    METHODS = %w[get post put patch delete].freeze

    # As JSON text: some of it is none.
    RAW = ["1e400", "-1e400", "NaN", '"\\ud800"', '"\\udfff\\ud800"', '"\\u0000"', '"a\\u0000b"', "\"\xFF\xFE\"",
           '{"a":1,"a":2}', '{"\\u0000":1}', "[1,", "01",
           '"\\x41"', "'a'", ("[" * 200) + ("]" * 200)].freeze
    STRINGS = ["", " ", "a" * 121, "a" * 5_000, "../../etc/passwd", "%00", "%ff", "'; DROP TABLE clients; --",
               "<script>alert(1)</script>", "${x}", "{{7*7}}",
               "\u202Eabc", "e\u0301" * 200, "👩‍👩‍👧", "null", "NaN", "0x10", "1e3", "00000000-0000-0000-0000-000000000000",
               "2026-13-40T25:61:61Z",
               "\r\nset-cookie: a=b",
               "\t", "\uFEFF", "\u2028", "\\", "//", "a/b/c", "__proto__", "constructor", "base", "everywhere"].freeze
    OTHER = [nil, true, false, 0, -1, 1, 2**31, 2**53, 2**63, 2**64, -(2**63) - 1, 10**40, 1.5, 1e308, -0.0, [], [[]], [nil],
             [0] * 3_000, {}, { "" => 1 },
             { "kind" => "assign" }, { "a" * 5_000 => 1 }, { "id" => nil }, Array.new(300) { |i| { "id" => i } }].freeze
    VALUES = [*RAW, *STRINGS.map { |one| JSON.generate(one) }, *OTHER.map { |one| JSON.generate(one) }].freeze
    MARK = "here-it-stands"
    PAD = JSON.parse(File.read(File.join(Server::DATA, "kinds", "touchpad.json"))).merge("id" => "reed-pad").freeze

    def setup
      super
      @fell = []
      sign_in_as("lead")
      add_client(DEMO)
      listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
      stream = send_json(:post, "/api/listeners/#{listener}/streams", {})["id"]
      join = send_json(:post, "/api/clients/#{@client}/joins", "host" => "phone")["id"]
      sitting, fit = add_fit(@client)
      send_json(:post, "/api/service/kinds", "document" => PAD)
      proposal = send_json(:post, "/api/clients/#{@client}/proposals", {})["proposal"]["id"]
      @right = { "sitting" => sitting, "fit" => fit, "proposal" => proposal, "number" => "0", "kind" => "grip",
                 "shelf" => "reed-pad", "shipped" => "grip",
                 "client" => @client, "listener" => listener, "stream" => stream, "own" => stream, "join" => join,
                 "account" => DATABASE[:accounts].where(service_id: @service).get(:id).to_s }
      @token = csrf
      @session = last_request.env["HTTP_COOKIE"]
    end

    def resolve(schema)
      return {} unless schema.is_a?(Hash)

      if schema["$ref"]
        resolve(schema["$ref"].delete_prefix("#/").split("/").reduce(CONTRACT) { |at, key| at.fetch(key) })
      else
        schema
      end
    end

    # [body…] that the contract takes by their shape, one for each of several forms.
    def samples(schema, depth = 0)
      schema = resolve(schema)
      return [nil] if depth > 5
      return (schema["oneOf"] || schema["anyOf"]).flat_map { |one| samples(one, depth + 1) } if schema["oneOf"] || schema["anyOf"]
      return [schema["const"]] if schema.key?("const")
      return [schema["enum"].first] if schema["enum"]

      case [*schema["type"]].first
      when "object" then objects(schema, depth)
      when "array" then [[samples(schema["items"], depth + 1).first]]
      when "integer", "number" then [schema["minimum"] || 1]
      when "boolean" then [true]
      else ["a" * (schema["minLength"] || 1)]
      end
    end

    # Of the member that has several forms, all; of the others one.
    def objects(schema, depth)
      forms = schema.fetch("properties", {}).transform_values { |one| samples(one, depth + 1) }
      many = forms.max_by { |_, list| list.size }&.first
      (many ? forms[many] : [nil]).map { |form| forms.to_h { |name, list| [name, name == many ? form : list.first] } }
    end

    # A body with a mark in place of each member, of its own and one step further in.
    def marked(body)
      return [MARK] unless body.is_a?(Hash)

      body.flat_map do |name, value|
        inside = value.is_a?(Hash) ? marked(value).map { |one| body.merge(name => one) } : []
        [body.merge(name => MARK), *inside]
      end + [MARK]
    end

    # [[method, path, query, body as JSON text with a mark or nil]…]
    def requests
      CONTRACT["paths"].flat_map do |path, operations|
        operations.slice(*METHODS).flat_map do |method, operation|
          of_operation(method, path, operation, operations.fetch("parameters", []))
        end
      end
    end

    def of_operation(method, path, operation, shared)
      parameters = [*shared, *operation["parameters"]].map { |one| resolve(one) }
      known = parameters.select { |one| one["in"] == "query" }.to_h { |one| [one["name"], samples(one["schema"]).first.to_s] }
      schema = resolve(operation["requestBody"]).dig("content", "application/json", "schema")
      bodies = schema ? samples(schema) : [nil]
      right = path.gsub(/\{(\w+)\}/) { @right.fetch(Regexp.last_match(1)) }
      in_path = @right.keys.select { |name| path.include?("{#{name}}") }.map do |name|
        [method, path.gsub(/\{(\w+)\}/) { |part| part == "{#{name}}" ? MARK : @right.fetch(part[1..-2]) }, known,
         bodies.first && JSON.generate(bodies.first)]
      end
      in_query = known.keys.map { |name| [method, right, known.merge(name => MARK), nil] }
      in_body = schema ? bodies.flat_map { |body| marked(body).map { |one| [method, right, known, JSON.generate(one)] } } : []
      in_path + in_query + in_body
    end

    def test_nothing_brings_it_down
      random = Random.new(SEED)
      counted = Hash.new(0)
      requests.uniq.each do |request|
        VALUES.each do |value|
          next if random.rand > SHARE

          counted[hostile(request, value)] += 1
        end
      end
      assert_empty @fell.first(20), "#{@fell.size} of #{counted.values.sum}"
      puts "hostile: #{counted.sort.map { |pair| pair.join(": ") }.join(", ")}" if ENV["KIPPEN_SHARE"]
      assert_operator counted.values.sum, :>, 250
      assert_operator counted[400] + counted[422] + counted[404], :>, counted.values.sum / 2
    end

    def hostile((method, path, query, body), value)
      Server::Rates::COUNTERS.clear
      clear_cookies
      set_cookie(@session)
      plain = value.start_with?('"') && value.length < 3_000 ? value[1..-2] : value
      path = path.gsub(MARK) { escaped(plain) }
      query = query.map { |name, one| "#{name}=#{one == MARK ? escaped(plain) : one}" }.join("&")
      sent = body&.sub("\"#{MARK}\"") { value }
      DATABASE.transaction(rollback: :always) do
        public_send(method, query.empty? ? path : "#{path}?#{query}", body ? sent : {}, "CONTENT_TYPE" => "application/json",
                                                                                        "HTTP_X_CSRF_TOKEN" => @token)
      end
      look_at(method, path, sent)
      status
    end

    def escaped(text) = text.b.slice(0, 900).gsub(/[^A-Za-z0-9._~-]/n) { |byte| format("%%%02X", byte.ord) }

    def look_at(method, path, sent)
      what = "#{method} #{path.slice(0, 200)} #{sent.to_s.slice(0, 300).b.inspect}: #{status} #{last_response.body.slice(0, 300)}"
      told = status < 400 || last_response.content_type == "application/problem+json"
      @fell << what if status >= 500 || !told || (status >= 400 && last_response.body.match?(%r{\.rb:\d+|/gems/|Sequel::|PG::}))
    end
  end
end
