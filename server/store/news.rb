# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Short notices between processes, by PostgreSQL's own: they go out when what they tell
      # of has been written. They say that something is there, never what.
      module News
        CHANNEL = "kippen"

        # what – "heard", "revision", "joins" …; more – numbers and ids only
        def self.tell(database, client, what, **more)
          database.notify(CHANNEL, payload: JSON.generate({ "client" => client, "what" => what, **more.transform_keys(&:to_s) }))
        end

        # Somebody may no longer see what they saw: whoever shows something looks again.
        def self.rights(database) = tell(database, nil, "rights")

        # Yields each notice, for ever. ready – called once it listens
        def self.listen(database, ready:)
          database.listen(CHANNEL, loop: true, after_listen: ->(_) { ready.call }) { |_, _, payload| yield JSON.parse(payload) }
        end
      end
    end
  end
end
