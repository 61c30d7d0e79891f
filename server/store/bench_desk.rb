# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # One stream's bench while it is worked on; the stream is held meanwhile. Part of Benches.
      class BenchDesk
        # now – Works::Now; bindings – of the listener, where what was heard are not buttons yet
        def initialize(database, stream, now, bindings)
          @database = database
          @stream = stream
          @fitting = now.fitting
          @revision = now.number
          @by_devices = !now.mark.nil?
          @reader = RawMessages.new(@fitting, bindings, host: stream[:host]) if stream[:raw]
          # By what it is decided: another revision, something else on a device or other bindings, and it is decided anew.
          @basis = [now.number, *now.mark, *(Digest::SHA256.hexdigest(JSON.generate(bindings.sort)) if @reader)].join(" ")
        end

        # fresh – messages that were just kept, by their place. Returns a Benches::Seen.
        def work(fresh)
          load
          @settled = []
          @decided = []
          @presses = []
          @modes_changed = []
          @heard = []
          from_us = fresh.first&.time_us
          redo_us = go_back(fresh)
          feed(redo_us ? after(@place) : fresh, fresh)
          hear(fresh)
          save if redo_us || fresh.any? || @new
          Benches::Seen.new(bench: @bench, standing: @row, stories: @settled + @bench.open, from_us: redo_us || from_us,
                            decided: @decided, modes_changed: @modes_changed, fitting: @fitting, revision: @revision,
                            reader: @reader, heard: @heard,
                            presses: @presses, by_devices: @by_devices,
                            now_us: @place&.first || 0)
        end

        private

        def load
          @row = @database[:benches].first(stream_id: @stream[:id])
          @new = @row.nil?
          @row ||= { basis: nil, rows: 0, received: 0, heard_through: 0, heard: {} }
          @place = @row.values_at(:last_us, :last_number).then { |place| place if place.all? }
          @bench = (try { Press::Bench.resume(@fitting, @row[:state].to_hash) } if @row[:basis] == @basis)
        end

        # What is kept can be worked out again: where it can't be read, it is.
        def try
          yield
        rescue StandardError
          nil
        end

        # To a moment of rest from which it is decided anew, where that is needed. Returns from which
        # time on, or nil.
        def go_back(fresh)
          late = @place && fresh.first && (fresh.first.place <=> @place).negative?
          return if @bench && !late

          rests = @database[:rests].where(stream_id: @stream[:id])
          upto = @row[:rows] - Benches::ANEW
          rests = rests.where { rows <= upto } unless @bench
          rests = rests.where(Sequel.lit("(at_us, at_number) < (?, ?)", *fresh.first.place)) if late
          begin_from(rests.reverse(:rows).first)
        end

        # One that can't be read is passed over for one before.
        def begin_from(rest)
          @bench = try { Press::Bench.from(@fitting, rest && rest[:state].to_hash) }
          unless @bench
            return begin_from(@database[:rests].where(stream_id: @stream[:id]).where { rows < rest[:rows] }.reverse(:rows).first)
          end

          begin_at(rest)
        end

        def begin_at(rest)
          settled = rest ? rest[:rows] : 0
          gone = @database[:tiles].where(stream_id: @stream[:id]).where { row >= settled }
          @before = BroughtAbout.new(@stream[:id], gone.select_map(:key), open_before, @place&.first || 0)
          gone.delete
          @database[:rests].where(stream_id: @stream[:id]).where { rows > settled }.delete
          @row[:rows] = settled
          @place = rest&.values_at(:at_us, :at_number)
          rest ? rest[:at_us] : 0
        end

        # The stories that were open when the bench was kept, whatever it was decided by.
        def open_before = try { @row[:state].to_hash["stories"]["open"].map(&:last) } || []

        # All messages behind a place.
        def after(place)
          rows = @database[:messages].where(stream_id: @stream[:id]).order(:time_us, :number)
            .select(:number, :time_us, :source, :kind, :value)
          rows = rows.where(Sequel.lit("(time_us, number) > (?, ?)", *place)) if place
          rows.map { |row| Press::Bench::Message.new(**row) }
        end

        def feed(messages, fresh)
          first = fresh.first&.place
          messages.each do |message|
            resolved = @reader && !message.source.empty? ? @reader.resolve(message) : message
            modes = @bench.modes
            @bench.feed(resolved || Press::Bench::Message.new(time_us: message.time_us, kind: Press::Bench::TOLD))
            @place = message.place
            news = first && (message.place <=> first) >= 0
            decide(news)
            changed_modes(modes) if news
            @heard << resolved if news && resolved
            settle
          end
        end

        # What was known already was brought about before.
        def decide(counts)
          outcomes = @bench.take_decided
          presses = @bench.take_presses
          return unless counts

          @decided.concat(outcomes.reject { |one| @before&.outcome?(one) })
          @presses.concat(presses.reject { |one| @before&.press?(one) })
        end

        def changed_modes(before)
          @bench.modes.each { |host, now| @modes_changed << [host, before[host], now] unless before[host] == now }
        end

        def settle
          over = @bench.take_over
          over.each { |story| keep_story(story) }
          @settled.concat(over)
          rest = over.any? && @bench.rest or return

          keep_rest(rest)
        end

        def keep_story(story)
          saved = Press::SavedStories.save(story).merge("button" => story.button.ref)
          @database[:tiles].insert(stream_id: @stream[:id], row: @row[:rows], key: Benches.key(@stream[:id], story),
                                   story: Sequel.pg_jsonb(saved))
          @row[:rows] += 1
        end

        def keep_rest(rest)
          rests = @database[:rests].where(stream_id: @stream[:id])
          last = rests.max(:rows) || 0
          lasting = @row[:rows] / Benches::LASTING > last / Benches::LASTING
          rests.where(rows: @row[:rows]).delete
          rests.where(lasting: false).where { rows < last - Benches::NEAR }.delete
          @database[:rests].insert(stream_id: @stream[:id], rows: @row[:rows], at_us: @place[0], at_number: @place[1], lasting:,
                                   state: Sequel.pg_jsonb(rest))
        end

        # Counts what came, and remembers what was heard last of each source.
        def hear(fresh)
          last = fresh.reject { |message| message.source.empty? || Press::Events::SPOTS.include?(message.kind) }.to_h do |message|
            [message.source, [*message.place, message.kind]]
          end
          heard = readable(@row[:heard].to_hash).merge(last) { |_, known, new| [known, new].max }
          @row[:heard] = heard.sort_by { |_, place| place }.last(Benches::MOST_HEARD).to_h
          count_in(fresh.map(&:number).sort) if fresh.any? || @new
        end

        # Mostly nothing is missing and the next ones come: then they need not be looked for.
        def count_in(numbers)
          through = @row[:heard_through]
          in_turn = !@new && @row[:received] == through && numbers == [*(through + 1)..(through + numbers.size)]
          @row[:received] = @new ? count : @row[:received] + numbers.size
          @row[:heard_through] = in_turn ? @row[:received] : through(through)
        end

        def readable(heard) = heard.select { |_, place| place.is_a?(Array) && place.map(&:class) == [Integer, Integer, String] }

        def count = @database[:messages].where(stream_id: @stream[:id]).count

        # The highest number up to which no message is missing.
        def through(from)
          numbers = @database[:messages].where(stream_id: @stream[:id]).where { number > from }.order(:number).select_map(:number)
          from + numbers.each_with_index.take_while { |number, index| number == from + index + 1 }.size
        end

        def save
          saved = { basis: @basis, state: Sequel.pg_jsonb(@bench.save), last_us: @place&.first, last_number: @place&.last,
                    rows: @row[:rows],
                    received: @row[:received], heard_through: @row[:heard_through], heard: Sequel.pg_jsonb(@row[:heard]) }
          @database[:benches].insert_conflict(target: :stream_id, update: saved).insert(stream_id: @stream[:id], **saved)
        end
      end
    end
  end
end
