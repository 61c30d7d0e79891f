# frozen_string_literal: true

module Kippen
  module Server
    # The contract as requests and responses are held against it. What openapi_first 1.4 makes out of it anew with every
    # request, schemas above all, is made once and kept, for all threads (2.x does so itself, but asks for Ruby 3.2).
    module Contract
      # Returns the OpenapiFirst::Definition that all parts of the application share.
      def self.read = OpenapiFirst.load(CONTRACT).extend(Paths)

      # A path without parameters is one of those known already, too.
      module Paths
        private

        def find_path_item_and_params(path)
          @exactly ||= path_items.to_h { |item| [item.path, item] }
          item = @exactly[path]
          item ? [item, {}] : super
        end
      end

      # What is asked for at a path, with the schemas of its parameters and its body.
      module Operations
        def operation(method)
          @kept ||= {}
          @kept.fetch(method) { @kept[method] = super }
        end
      end

      # The schema of an answer's body.
      module Answers
        private

        def find_content_schema(response, type)
          @kept ||= {}
          @kept.fetch([response.object_id, type]) { |key| @kept[key] = super }
        end
      end
    end
  end
end
OpenapiFirst::Definition::PathItem.prepend(Kippen::Server::Contract::Operations)
OpenapiFirst::Definition::Responses.prepend(Kippen::Server::Contract::Answers)
