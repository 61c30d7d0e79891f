# frozen_string_literal: true

module Kippen
  # What stories of handing over share: the step, and a device on it.
  module HandingOver
    PHONE = "Pocket phone"

    def open_handover
      sign_in("specialist") unless @signed_in
      @signed_in = true
      go_to "/clients/#{@client}/handover"
      assert_selector "h2", text: /on the devices/
    end

    def device(name = PHONE, &) = within("article[aria-label='#{name}']", &)
    def on_it(revision, name = PHONE) = device(name) { assert_text sentence("handed.onIt", number: revision), wait: 30 }
    def revision = Server::Store::Revisions.new(SystemTest::DATABASE).fitting(@client)[1][:number]

    def put(name = PHONE) = click_button(sentence("handover.putOn", number: revision, device: name))

    def reach(words)
      click_button sentence("handover.more", device: PHONE)
      find("[role=menuitem]", text: sentence("handover.#{words}")).click
    end
  end
end
