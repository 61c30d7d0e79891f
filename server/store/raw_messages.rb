# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Messages of a stream whose sources are what was heard, as messages of the buttons they
      # stand for: by the listener's bindings, else by what is known of the client's devices,
      # where that is one button alone. What stands for no button is left out.
      class RawMessages
        # A source as listeners name it.
        SOURCE = /\A(key|pointer|pen|touch|wheel|gamepad):[!-~]{1,110}\z/

        # bindings – { heard => button }; host – the only one for whose buttons the listener speaks: that
        # by whose code it joined; nil for all
        def initialize(fitting, bindings, host: nil)
          @fitting = fitting
          @bindings = bindings
          @host = host
          @sources = Kinds::Sources.new(fitting, KINDS)
          @buttons = {}
        end

        # The Fitting::Button a source stands for, or nil.
        def button(source)
          @buttons.fetch(source) { @buttons[source] = bound(source) || only(source) }
        end

        # Can a press that was heard so have come from the button itself?
        def itself?(button, source) = @sources.from?(button, source)

        # Is anything bound to the button?
        def bound?(button) = @bindings.value?(button.ref)

        # Of a press that came as a button: is nothing bound to it that can be itself?
        def stands_in?(button) = @bindings.none? { |heard, ref| ref == button.ref && itself?(button, heard) }

        # A message as one of the button it stands for, or nil.
        def resolve(message)
          return (message if @host.nil? || message.source == @host) if Press::Events::SPOTS.include?(message.kind)

          button = button(message.source) or return
          kind, value = suited(button.kind, message)
          return unless kind

          message.dup.tap do |changed|
            changed.source = button.ref
            changed.kind = kind
            changed.value = value
          end
        end

        # Can a source, as it is heard, work a kind of button at all?
        def self.suits?(source, kind)
          return kind == "notch" if source.start_with?("wheel:")

          source.match?(/\Agamepad:[^:]+:(level|axis):/) ? kind == "force" : kind != "notch"
        end

        private

        def bound(source) = @bindings[source] && own(@fitting.button(@bindings[source]))

        def own(button) = (button if button && (@host.nil? || button.host == @host))

        def only(source)
          candidates = @sources.candidates(source).select { |one| own(one.button) }
          candidates.first.button if candidates.size == 1
        end

        # A press on a force button is full force; a level on a contact, and a step on either, are nothing.
        def suited(button, message)
          case [button, message.kind]
          when %w[contact down], %w[contact up], %w[notch notch] then [message.kind, ""]
          when %w[force level] then ["level", message.value]
          when %w[force down] then %w[level 1]
          when %w[force up] then %w[level 0]
          end
        end
      end
    end
  end
end
