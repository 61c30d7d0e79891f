# frozen_string_literal: true

Gem::Specification.new do |spec|
  spec.name = "kippen-core"
  spec.version = "0.1.0"
  spec.summary = "What presses on adapted buttons mean: fittings, the press engine, lanes and explanations"
  spec.authors = ["Kippen"]
  spec.files = Dir["lib/**/*.rb", "data/**/*"]
  spec.required_ruby_version = ">= 3.1"
  spec.metadata["rubygems_mfa_required"] = "true"
end
