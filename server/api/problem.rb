# frozen_string_literal: true

module Kippen
  module Server
    # Errors as problem details (RFC 9457); the only place that knows HTTP status codes of errors.
    module Problem
      TYPE = "application/problem+json"

      # faults – Kippen::Fault; more – further members. Returns a Hash.
      def self.of(status, detail, faults: [], **more)
        problem = { "type" => "about:blank", "title" => Words.say(:"status_#{status}"), "status" => status, "detail" => detail }
        problem["faults"] = faults.map { |fault| { "where" => fault.where, "message" => fault.message } } unless faults.empty?
        problem.merge(more.transform_keys(&:to_s))
      end

      # Writes down what broke and where; not what it was about, for messages show the values they stumbled over.
      def self.log(error)
        known = error.is_a?(NameError) ? error.name : sqlstate(error)
        what = [error.class, *("(#{known})" if known)].join(" ")
        warn "#{Time.now.utc.strftime("%FT%TZ")} #{what}\n  #{error.backtrace&.first(8)&.join("\n  ")}"
      end

      # PostgreSQL's own five letters for what went wrong, or nil.
      def self.sqlstate(error)
        result = error.wrapped_exception.result if error.is_a?(Sequel::Error) && error.wrapped_exception.respond_to?(:result)
        result&.error_field(PG::Result::PG_DIAG_SQLSTATE)
      end
      private_class_method :sqlstate

      # For a fault of Kippen's own, as a Rack response.
      def self.of_our_own(env)
        return response(500, Words.say(:log_nothing_changed)) unless may_have_saved?(env)

        response(500, Words.say(:log_not_known), saved: "unknown")
      end

      # Can a request have saved something, whatever became of its answer?
      def self.may_have_saved?(env) = !%w[GET HEAD].include?(env["REQUEST_METHOD"])

      # As a Rack response.
      def self.response(status, detail, **more)
        [status, { "content-type" => TYPE, "cache-control" => "no-store" }, [JSON.generate(of(status, detail, **more))]]
      end
    end
  end
end
