# frozen_string_literal: true

require_relative "helper"
require_relative "../../core/data_folder"
require "open3"
require "tempfile"

module Kippen
  # What Kippen writes is what its published schemas say, as python3-jsonschema of Debian's packages reads them; and what Kippen
  # refuses for its shape they refuse too.
  class SchemasTest < ReferenceTest
    ROOT = File.expand_path("../..", __dir__)
    KNOWLEDGE = Knowledge.read(DataFolder.texts(File.join(ROOT, "core", "data")))
    SCRIPT = <<~PY
      import json, sys, jsonschema
      schema = json.load(open(sys.argv[1]))
      jsonschema.Draft202012Validator.check_schema(schema)
      for line in sys.stdin:
          errors = list(jsonschema.Draft202012Validator(schema).iter_errors(json.loads(line)))
          print("; ".join("/" + "/".join(map(str, e.path)) for e in errors))
    PY

    # Of each document what is wrong with it, "" where nothing is.
    def faults(schema, documents)
      said, ended = Open3.capture2e("/usr/bin/python3", "-c", SCRIPT, File.join(ROOT, "docs", schema),
                                    stdin_data: documents.map { |one| "#{JSON.generate(one)}\n" }.join)
      assert ended.success?, said
      said.lines(chomp: true)
    end

    def demo = Dir[File.join(ROOT, "demo", "*.fitting.json")].map { |file| JSON.parse(File.read(file)) }

    def made(document, kind, **given)
      change = Changes.read({ "kind" => kind }.merge(given.transform_keys(&:to_s)))
      Changes.make(Fitting.read(document), change, knowledge: KNOWLEDGE, by: "Hollis",
                                                   at: "2026-11-25T12:00:00Z").fitting.document
    end

    def test_fittings_as_they_ship_and_after_changes
      changed = demo.map do |document|
        late = made(document, "bears", ms: 100)
        finding = Check.of(Fitting.read(late), KNOWLEDGE).findings.first
        rested = { "bad" => finding.bad, "figures" => finding.figures, "mark" => finding.mark }
        made(made(late, "known", finding: finding.id, where: finding.where, why: "So it is.", rested:), "next_visit",
             day: "2026-12-10")
      end
      assert_equal [""] * 8, faults("fitting.schema.json", demo + changed)
    end

    # For its shape: what refers to what only the core knows.
    def test_what_kippen_refuses_for_its_shape
      known = { "id" => "a", "finding" => "late", "where" => {}, "why" => "w",
                "rested" => { "bad" => "look", "figures" => {}, "mark" => "m" } }
      wrong = [{ "client" => { "next_visit" => "tomorrow" } }, { "client" => { "bears_ms" => 1 } },
               { "known" => [known.merge("why" => " ")] }, { "known" => [known.merge("rested" => { "bad" => "bars" })] },
               { "known" => [known.merge("where" => { "button" => 7 })] }]
      documents = wrong.map { |members| { "kippen" => "fitting/1" }.merge(members) }
      documents.each { |document| assert_raises(Invalid, document.to_s) { Fitting.read(document) } }
      assert(faults("fitting.schema.json", documents).none?(&:empty?))
    end

    def test_kinds_as_they_ship
      kinds = Dir[File.join(ROOT, "core", "data", "kinds", "*.json")].map { |file| JSON.parse(File.read(file)) }
      assert_equal [""] * kinds.size, faults("device-kind.schema.json", kinds)
      crowded = kinds.first.dup.tap { |kind| kind["hosts"] = kind["hosts"].transform_values { |one| one.merge("places" => -1) } }
      refute_equal [""], faults("device-kind.schema.json", [crowded])
    end
  end
end
