# frozen_string_literal: true

module Kippen
  module Press
    # Raw events on their way into an engine: checks each against the fitting once,
    # then feeds it. One reader for trace files, worked cases and the live bench.
    class Events
      KINDS = { "down" => "contact", "up" => "contact", "level" => "force", "notch" => "notch" }.freeze
      SPOTS = %w[pointer_in focus_in].freeze
      ALL = [*KINDS.keys, *SPOTS, "end"].freeze
      LEVEL = /\A-?\d+(?:\.\d+)?(?:[eE][+-]?\d+)?\z/

      def initialize(fitting)
        @fitting = fitting
        @buttons = fitting.buttons.to_h { |button| [button.ref, button] }
      end

      # Takes one row's fields. Returns [kind, target, value] for #feed: the target is
      # a button's index or a host's id. Raises ArgumentError saying what is wrong.
      def read(source, kind, value)
        return read_spot(source, kind, value) if SPOTS.include?(kind)
        return read_end(source, value) if kind == "end"

        wanted = KINDS[kind] or refuse(Words.say(:unknown_kind_must_one, kind: Faults.show(kind), allowed: ALL.join(", ")))
        button = @buttons[source] or refuse(Words.say(:unknown_button, ref: Faults.show(source)))
        refuse(Words.say(:button_cant_give, source:, kind: button.kind, kind_2: kind)) unless button.kind == wanted
        return [:level, button.index, level(value)] if kind == "level"

        refuse(Words.say(:takes_no_value_has, kind:, value: Faults.show(value))) unless value.empty?
        [kind.to_sym, button.index, nil]
      end

      # Takes an Engine, a time and what #read returned.
      def feed(engine, time_us, event)
        kind, target, value = event
        case kind
        when :down then engine.down(time_us, target)
        when :up then engine.up(time_us, target)
        when :level then engine.level(time_us, target, value)
        when :notch then engine.notch(time_us, target)
        when :pointer_in then engine.pointer_in(time_us, target, value)
        when :focus_in then engine.focus_in(time_us, target, value)
        else engine.tell(time_us)
        end
      end

      private

      def refuse(message) = raise(ArgumentError, message)

      def read_spot(source, kind, value)
        hosts = @fitting.hosts
        id = source.empty? && hosts.size == 1 ? hosts.first.id : source
        refuse(Words.say(:unknown_host, host: Faults.show(source))) unless hosts.any? { |host| host.id == id }
        unless value.empty? || Fitting::Ids.spot?(value)
          refuse(Words.say(:takes_app_app_part_nothing, kind:, value: Faults.show(value)))
        end
        [kind.to_sym, id, value]
      end

      def read_end(source, value)
        refuse(Words.say(:end_takes_no_source_no)) unless source.empty? && value.empty?
        [:end, nil, nil]
      end

      def level(text)
        level = LEVEL.match?(text) ? Float(text) : nil
        return level if level&.between?(0, 1)

        refuse(Words.say(:level_must_number_from, text: Faults.show(text)))
      end
    end
  end
end
