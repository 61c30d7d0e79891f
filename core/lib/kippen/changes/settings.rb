# frozen_string_literal: true

module Kippen
  module Changes
    # Sets something of a host or device besides its buttons. of – "host" or "device"; value nil:
    # back to how it came
    class Setting < Change.of("setting", :of, :id, :setting, :value)
      LISTS = { "host" => "hosts", "device" => "devices" }.freeze

      def make(draft)
        known = known(draft)
        list = LISTS.fetch(of)
        return draft.alter(list, id, known.member => value) if known.member

        settings = Draft.with(draft.list(list).find(id).fetch("settings", {}), setting => value)
        draft.alter(list, id, "settings" => settings.empty? ? nil : settings)
      end

      private

      def known(draft)
        known = draft.knowledge.settings.for(draft.before, of, id).find { |one| one.id == setting }
        refuse("setting", Words.say(:has_no_setting, id:, setting: Faults.show(setting))) unless known
        fault = value.nil? ? nil : known.fault(value)
        fault ? refuse("value", fault) : known
      end
    end
  end
end
