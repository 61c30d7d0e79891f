# frozen_string_literal: true

module Kippen
  module Changes
    # Several changes to buttons, made as one. What is refused says of which button.
    class Several < Change.of("several", :changes)
      def make(draft)
        changes.each_with_index do |sent, index|
          draft.deadline.check
          Changes.read(sent).make(draft)
        rescue Invalid => e
          name = draft.before.button(sent["button"].to_s)&.name || sent["button"]
          raise(Invalid, e.faults.map { |fault| Fault.new("/change/changes/#{index}", "#{name}: #{fault.message}") })
        end
      end
    end
  end
end
