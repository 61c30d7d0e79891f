# frozen_string_literal: true

module Kippen
  module Server
    # What is said to a request that doesn't keep the contract.
    class ContractErrors
      include OpenapiFirst::ErrorResponse

      def render
        faults = (failure.errors || []).map { |error| Fault.new(error.instance_location.to_s, error.error.to_s.slice(0, 300)) }
        Problem.response(status, failure.exception_message.to_s.slice(0, 300), faults: faults.first(Faults::MOST))
      end
    end
  end
end
