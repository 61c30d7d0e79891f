# frozen_string_literal: true

source "https://rubygems.org"

gem "argon2", "2.3.3"
gem "bigdecimal", "~> 3.1"
gem "highs", "0.2.6"
gem "json", "~> 2.0"
gem "openapi_first", "1.4.3"
gem "pg", "1.7.0"
gem "prawn", "2.5.0"
gem "puma", "8.0.2"
gem "que", "2.4.1"
gem "rack-attack", "6.8.0"
gem "roda", "3.109.0"
gem "rodauth", "2.49.0"
gem "sequel", "5.110.0"
gem "sequel_pg", "1.20.0", require: "sequel"
gem "sinatra", "4.2.1"

group :test do
  gem "axe-core-capybara", "4.14.0"
  gem "capybara", "3.40.0"
  gem "minitest", "5.27.0"
  gem "prop_check", "1.0.2"
  gem "rack-test", "2.3.0"
  gem "selenium-webdriver", "4.32.0"
end

group :lint do
  gem "rubocop", "1.91.0", require: false
end
