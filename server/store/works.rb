# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # By what a client's presses are decided: by the desk's newest revision, or by what really is on the devices.
      class Works
        BY = %w[desk devices].freeze

        # fitting – that decides; number – of the desk's revision; mark – of what is on the devices, nil where the desk decides
        Now = Struct.new(:fitting, :number, :mark, keyword_init: true)

        def initialize(database) = @database = database

        # One of BY.
        def by(client) = @database[:clients].where(id: client).get(:works_by) || "desk"

        # Returns how many clients were otherwise before: 0 or 1.
        def by!(client, way)
          changed = @database[:clients].where(id: client).exclude(works_by: way).update(works_by: way)
          News.tell(@database, client, "works") if changed.positive?
          changed
        end

        # Raises Missing.
        def now(client)
          head = Revisions.new(@database).head(client)
          return Now.new(fitting: head.fitting, number: head.number) if by(client) == "desk"

          on = on_devices(client, head.fitting)
          mark = Digest::SHA256.hexdigest(JSON.generate(on.sort.map { |id, document| [id, Handover.digest(document)] }))
          Now.new(fitting: in_force(head.fitting, on, mark), number: head.number, mark:)
        end

        private

        def on_devices(client, fitting)
          carriers = Carriers.new(@database).all(client)
          fitting.devices.to_h { |device| [device.id, Carriers.carrier(carriers[device.id]).on_it] }
        end

        # What is none of ours decides nothing: then the devices do what they do by themselves.
        def in_force(fitting, on, mark)
          fitting.recall([:in_force, mark]) do
            Handover::InForce.of(fitting, on)
          rescue Invalid
            Handover::InForce.of(fitting, on.transform_values { nil })
          end
        end
      end
    end
  end
end
