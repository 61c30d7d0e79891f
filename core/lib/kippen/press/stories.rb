# frozen_string_literal: true

module Kippen
  module Press
    # Listens inside an engine and keeps, for every burst and every ignored contact,
    # what it was made of: the raw touches, what bridged them, and why each row was decided.
    class Stories
      # One touch as heard. verdict: "pending", "press", "bounce", "brush", "beyond", "stray"
      # bounce – [µs since the reference, µs the guard asks for], nil where no guard ran
      # brush_us – what the brush guard asks for
      Touch = Struct.new(:began_us, :ended_us, :gaps, :verdict, :known_us, :bounce, :brush_us, keyword_init: true)
      Row = Struct.new(:outcome, :why)

      # touches and rows in order; choice, mode, spot – what the burst took when it began
      # origin – where the mode came from: "held", "latch", or nil for locked and base
      # repeats – of those that are only counted
      Story = Struct.new(:button, :touches, :rows, :choice, :mode, :origin, :spot, :over, :repeats, keyword_init: true) do
        def began_us = touches.first.began_us
        # Is it counted for as long as another button is held?
        def unhurried? = origin == "held" && choice.unhurried?
        # From when on nothing of it changed.
        def settled_us = [*touches.map { |touch| touch.ended_us || touch.began_us }, *rows.map { |row| row.outcome.at_us }].max
        def presses = touches.select { |touch| %w[press beyond].include?(touch.verdict) }
      end

      # A press that is known to be one, whatever it comes to. began_us – when its story began
      Press = Struct.new(:button, :at_us, :began_us)

      # Of a story that never ends, the touches and drop-outs that are kept.
      MOST_KEPT = 200

      attr_reader :stories

      # brief – repeats are counted, not kept, and of a story without end only so much: for what is
      # saved from message to message
      def initialize(brief: false)
        @brief = brief
        @stories = []
        @touch = {}
        @open = {}
        @down = {}
        @presses = []
      end

      # [Press] that became known since this was last asked.
      def take_presses
        taken = @presses
        @presses = []
        taken
      end

      # The stories that are over, in the order they began; they are kept no longer.
      def take_over
        over, @stories = @stories.partition(&:over)
        over
      end

      # What is not over yet, as plain JSON values.
      def save
        { "open" => @open.map { |index, story| [index, SavedStories.save(story).merge("button" => story.button.ref)] },
          "touches" => @down.keys.map { |index| [index, touch_alone(index)] } }
      end

      # Takes up what #save gave, on the same fitting; for one that is new.
      def resume(saved, fitting, resolver)
        saved.fetch("open").each do |index, story|
          @stories << (@open[index] = SavedStories.read(story, fitting.buttons[index], resolver))
        end
        saved.fetch("touches").each do |index, touch|
          @down[index] = true
          @touch[index] = touch ? SavedStories.read_touch(touch) : @open.fetch(index).touches.last
        end
        self
      end

      def closed(contact, time_us)
        bounce = [time_us - contact.bounce_ref, contact.bounce_guard] if contact.bounce_ref && contact.bounce_guard.positive?
        touch = @touch[contact.index] = Touch.new(began_us: time_us, gaps: [], verdict: "pending", bounce:,
                                                  brush_us: contact.brush_guard)
        @down[contact.index] = true
        @open[contact.index] ? nil : tell(contact, touch)
      end

      # The raw contact opened; the release may still be bridged.
      def opened(contact, time_us) = @touch[contact.index].ended_us = time_us

      def bridged(contact, from_us, to_us)
        touch = @touch[contact.index]
        touch.gaps << [from_us, to_us]
        shorten(touch.gaps)
        touch.ended_us = nil
      end

      def press_known(contact, time_us)
        touch = @touch[contact.index]
        touch.verdict = "press"
        touch.known_us = time_us
        story = @open[contact.index]
        @presses << Press.new(contact.button.ref, time_us, (story || touch).began_us) if @brief
        return if story.nil? || story.touches.last.equal?(touch)

        story.touches << touch
        shorten(story.touches)
      end

      def release_known(contact, ended)
        @down.delete(contact.index)
        @touch[contact.index].ended_us = ended
      end

      def notch(contact, time_us)
        touch = @touch[contact.index] = Touch.new(began_us: time_us, ended_us: time_us, gaps: [], verdict: "press",
                                                  known_us: time_us)
        @presses << Press.new(contact.button.ref, time_us, time_us) if @brief
        tell(contact, touch)
      end

      def burst(contact, burst)
        story = @open[contact.index]
        story.choice = burst.choice
        story.mode = burst.mode
        story.spot = burst.spot
        story.origin = burst.origin == :latch ? "latch" : burst.origin && "held"
      end

      def ignored(contact, outcome)
        return stray(contact, outcome) if outcome.reason == "stray"

        touch = @touch[contact.index]
        touch.verdict = outcome.reason
        touch.ended_us = outcome.ended_us
        open = @open[contact.index]
        story = open if open&.touches&.last.equal?(touch)
        story ||= add(contact, touch)
        story.rows << Row.new(outcome, outcome.reason.to_sym)
        shorten(story.rows)
        over(contact) if story.equal?(open) && outcome.reason != "beyond"
        story.over = true unless story.equal?(open)
      end

      def decided(contact, outcome, why)
        story = @open[contact.index]
        return story.repeats += 1 if @brief && outcome.phase == "repeat"

        story.rows << Row.new(outcome, why)
        shorten(story.rows)
      end

      def over(contact)
        @open.delete(contact.index)&.over = true
      end

      private

      # A touch that is not yet the last of its button's story.
      def touch_alone(index)
        SavedStories.save_touch(@touch[index]) unless @open[index]&.touches&.last.equal?(@touch[index])
      end

      # The first and the last tell what it is about.
      def shorten(list)
        list.delete_at(MOST_KEPT / 2) if @brief && list.size > MOST_KEPT
      end

      def tell(contact, touch) = @open[contact.index] = add(contact, touch)

      def add(contact, touch)
        story = Story.new(button: contact.button, touches: [touch], rows: [], over: false, repeats: 0)
        @stories << story
        story
      end

      def stray(contact, outcome)
        touch = Touch.new(began_us: outcome.began_us, ended_us: outcome.ended_us, gaps: [], verdict: "stray")
        story = add(contact, touch)
        story.rows << Row.new(outcome, :stray)
        story.over = true
      end
    end
  end
end
