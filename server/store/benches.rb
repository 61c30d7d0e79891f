# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What a stream's messages come to, kept with the stream: a message is fed to where the bench
      # stands. One that is late goes back to a moment of rest before it; a new revision, or another
      # binding, decides the last rows anew. The truth is always the replay of all messages.
      class Benches
        # Stories that are shown of a stream.
        SHOWN = 40
        # So many rows are decided anew by a new revision.
        ANEW = 100
        # So many rows back a moment of rest is kept, and every so many rows one for good.
        NEAR = 150
        LASTING = 100
        MOST_HEARD = 20

        # What a look at a stream gives: stories – [Press::Stories::Story], oldest first, from_us – they replace all
        # from then on, nil: all there is; decided – [Press::Outcome] that what was taken brought about;
        # presses – [Press::Stories::Press] that became known by it; now_us – how far the stream is told
        # by_devices – was it decided by what is on the devices?
        # heard – [Press::Bench::Message] of buttons that came anew; modes_changed – [[host, before, after]…], each as
        # Press::HostState#effective has it
        Seen = Struct.new(:bench, :standing, :stories, :from_us, :decided, :modes_changed, :fitting, :revision, :reader, :heard,
                          :presses, :now_us, :by_devices,
                          keyword_init: true)

        # What a story is known by: the same for the same press, however it is decided.
        def self.key(stream, story)
          return press_key(stream, story.button.ref, story.began_us) unless story.touches.first.verdict == "stray"

          [stream, story.button.ref, story.began_us, "stray"].join("/")
        end

        # That of a press, by its button and when its story began.
        def self.press_key(stream, button, began_us) = [stream, button, began_us, "press"].join("/")

        def initialize(database)
          @database = database
        end

        # Yields the Fitting that decides, see Works, and takes Press::Bench::Messages read by it; keeps those that are new,
        # passes over those it has. ahead – how many seconds past the server's time a message may be;
        # nil: any. Returns a Seen of what they changed.
        def take(stream, ahead: Streams::AHEAD_S)
          held(stream) do |clock|
            now = now(stream)
            messages = yield now.fitting
            fresh = Streams.new(@database).keep(clock, messages, ahead)
            News.tell(@database, stream[:client_id], "heard", stream: stream[:id]) if fresh.any?
            seen = work(stream, now, fresh)
            # What is sent again had no answer: then all is told.
            fresh.size == messages.size ? seen : whole(stream, seen)
          end
        end

        # A Seen of the last stories, decided by the fitting as it is now.
        def look(stream)
          held(stream) { whole(stream, work(stream, now(stream), [])) }
        end

        private

        def whole(stream, seen)
          rows = @database[:tiles].where(stream_id: stream[:id]).reverse(:row).limit(SHOWN).select_map(:story).reverse
          seen.stories = rows.filter_map { |row| settled(seen.fitting, row.to_hash) } + seen.bench.open
          seen.from_us = nil
          seen
        end

        # What can't be read is passed over.
        def settled(fitting, saved)
          story = Press::SavedStories.read(saved, fitting.button(saved.fetch("button")), Press::Resolver.of(fitting))
          story.over = true
          story
        rescue StandardError
          nil
        end

        # One at a time for a stream, so that no answer misses what another brought. Yields its clock.
        def held(stream)
          Store.transaction(@database) do
            yield Streams.new(@database).lock(stream[:id]) || raise(Missing, Words.say(:no_stream, id: stream[:id]))
          end
        end

        def now(stream) = Works.new(@database).now(stream[:client_id])

        def work(stream, now, fresh)
          bindings = stream[:raw] ? Listeners.new(@database).bindings(stream[:listener_id]) : {}
          BenchDesk.new(@database, stream, now, bindings).work(fresh)
        end
      end
    end
  end
end
