# frozen_string_literal: true

require_relative "helper"
require_relative "where"

module Kippen
  # A key of the remote does something that no key of it does: put on at the desk, pressed with a real key, seen on the
  # stand-in television.
  class TelevisionTest < SystemTest
    include Where

    def test_a_picture_of_the_screen_by_a_long_press
      demo("ottoline")
      open_step("assign", only: "remote")
      lane_of("Remote, First branded key") { find("[aria-label^='Add a long-press']").click }
      choose_action("picture of the screen", "Picture of the screen")
      click_button sentence("assign.putOn", gesture: "long-press")
      saved(2)
      show_screen
      bind("remote/branded-one" => "F8")
      pick sentence("devices.television"), from: sentence("screens.whichHost")
      press_anew("F8", 1.2)
      said("A picture of the screen is taken.")
    end
  end
end
