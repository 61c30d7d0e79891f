# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Clients. What is known of one stands in the newest revision of the fitting.
      class Clients
        MOST_LISTED = 200

        def initialize(database) = @database = database

        # [{ id:, name:, about:, revision: }], oldest client first
        def all
          newest = @database[:revisions].distinct(:client_id).order(:client_id, Sequel.desc(:number)).as(:newest)
          @database[:clients].join(newest, client_id: :id).order(Sequel[:clients][:created_at], :id).limit(MOST_LISTED).select(
            :id, Sequel[:newest][:number].as(:revision),
            Sequel.lit("newest.document -> 'client' ->> 'name' AS name"),
            Sequel.lit("newest.document -> 'client' ->> 'about' AS about")
          ).all
        end

        # Takes a valid Fitting; returns the new client's id. The fitting is revision 1.
        def add(fitting, author:, note:)
          @database.transaction do
            id = @database[:clients].returning(:id).insert.first.fetch(:id)
            Revisions.new(@database).add(id, nil, fitting, author:, note:)
            id
          end
        end
      end
    end
  end
end
