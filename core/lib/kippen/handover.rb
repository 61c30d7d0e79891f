# frozen_string_literal: true

require "digest"
require_relative "handover/card"
require_relative "handover/carried"
require_relative "handover/left_behind"
require_relative "handover/in_force"
require_relative "handover/mixes"
require_relative "handover/by_hand"
require_relative "handover/parts"
require_relative "handover/transfer"

module Kippen
  # How a fitting gets onto a device: what is put on it and what can't be, what is in force meanwhile, and never half of it.
  module Handover
    # A digest of what is put on a device, in whichever order its members are kept: 64 hexadecimal digits. nil – nothing
    def self.digest(document) = document && Digest::SHA256.hexdigest(InOrder.text(document))
  end
end
