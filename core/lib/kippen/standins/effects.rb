# frozen_string_literal: true

module Kippen
  module Standins
    # What an action does to the screen of a stand-in host: made from the action as data, told in the
    # catalogue's words.
    class Effects
      MOST_TEXT = 80
      LOUDEST = 10

      # Takes a Screen and an action with all its values; returns the Screen after it.
      def self.of(screen, action)
        catalogue = screen.knowledge.catalogue
        told = screen.with(said: catalogue.effect(action) || catalogue.name(action))
        HOW.key?(action["kind"]) ? new(told).public_send(HOW[action["kind"]], action) : told
      end

      def initialize(screen) = @screen = screen

      HOW = { "open" => :open, "bring" => :open, "window" => :window, "switch" => :switch, "app" => :app, "click" => :click,
              "move" => :move, "scroll" => :scroll, "text" => :text, "keys" => :keys, "modifier" => :modifier,
              "volume" => :volume, "media" => :media, "call" => :call, "system" => :system, "help" => :help,
              Steps::BACK => :back, "shortlist" => :shortlist, "mode" => :mode }.freeze

      # In front, or behind what is.
      def open(action)
        open = @screen.state["open"] - [action["app"]]
        return @screen.with(open: [open.first, action["app"], *open.drop(1)]) if action["how"] == "behind" && open.any?

        @screen.with(open: [action["app"], *open], part: nil)
      end

      def window(action)
        open, closed = @screen.state.values_at("open", "closed")
        return @screen.with(open: [*closed.last(1), *open], closed: closed[0...-1], part: nil) if action["do"] == "reopen"

        @screen.with(open: open.drop(1), closed: [*closed, *open.first(1)].last(10), part: nil)
      end

      def switch(action) = @screen.with(open: @screen.state["open"].rotate(action["to"] == "next" ? 1 : -1), part: nil)

      # A command of an app; the one that turns the house lights shows it.
      def app(action)
        turned = counted([action["app"], action["command"]].join("/"))
        case action["command"]
        when "toggle" then turned.with(lights: !@screen.state["lights"])
        when "answer", "hang-up" then turned.with(call: action["command"] == "answer" ? "on" : "none")
        when "play-pause" then turned.with(playing: !@screen.state["playing"])
        else turned
        end
      end

      # Where the pointer is: what lies behind comes to the front.
      def click(action)
        return toggled(Cues.kept(action)) if Cues.kept(action)
        return @screen unless action["button"] == "left" && !action["how"]

        element = @screen.layout.at(@screen.state["pointer"])
        element && %w[window part behind].include?(element.kind) ? pressed(element.where) : @screen
      end

      def pressed(where)
        app, part = where.split("/", 2)
        @screen.with(open: [app, *(@screen.state["open"] - [app])], part:)
      end

      # Told is the whole way since the press, as far as the pointer really went.
      def move(action)
        run, before = @screen.state.values_at("run", "pointer")
        step = Pointer.steps(action).px(run)
        after = before.zip(Pointer::DIRECTIONS.fetch(action["direction"]), @screen.kind.screen).map do |at, sign, size|
          within(at + (sign * step * 100.0 / size))
        end
        moved = way(before, after) + (run > 1 ? @screen.state["moved"] : 0)
        @screen.with(pointer: after, moved:, said: @screen.knowledge.catalogue.effect(action.merge("step_px" => moved)))
      end

      # In px, along the longer side.
      def way(before, after)
        after.zip(before, @screen.kind.screen).map { |to, from, size| ((to - from).abs * size / 100).round }.max
      end

      def within(percent) = percent.clamp(0, 100).round(2)

      def scroll(_action) = counted("scroll")

      def text(action)
        text = @screen.state["text"] + action["text"].to_s
        @screen.with(text: text[-MOST_TEXT..] || text)
      end

      # An open shortlist is chosen from as the host has it.
      def keys(action)
        return @screen unless @screen.list

        case action["keys"]
        when ["ArrowDown"] then shortlist({ "shortlist" => @screen.list.id, "do" => "next" })
        when ["ArrowUp"] then shortlist({ "shortlist" => @screen.list.id, "do" => "previous" })
        when ["Enter"] then take
        when ["Escape"] then @screen.with(list: nil)
        else @screen
        end
      end

      # Kept until pressed again, or for as long as it is held; for the next press it is not seen to stay.
      def modifier(action)
        down = @screen.state["modifiers"]
        case action["how"]
        when "lock" then toggled(action["key"])
        when "held" then @screen.with(modifiers: down | [action["key"]])
        else @screen
        end
      end

      def toggled(key)
        down = @screen.state["modifiers"]
        @screen.with(modifiers: down.include?(key) ? down - [key] : [*down, key])
      end

      # What lasted as long as held is over. Returns the Screen after it.
      def let_go(action)
        return @screen unless action["kind"] == "modifier" && action["how"] == "held"

        @screen.with(modifiers: @screen.state["modifiers"] - [action["key"]])
      end

      def volume(action)
        return @screen.with(muted: !@screen.state["muted"]) if action["direction"] == "mute"

        @screen.with(volume: (@screen.state["volume"] + (action["direction"] == "up" ? 1 : -1)).clamp(0, LOUDEST), muted: false)
      end

      def media(action)
        case action["do"]
        when "play-pause" then @screen.with(playing: !@screen.state["playing"])
        when "stop" then @screen.with(playing: false)
        else counted("media")
        end
      end

      def call(action)
        @screen.with(call: { "answer" => "on", "hang-up" => "none", "call" => "on" }.fetch(action["do"], @screen.state["call"]))
      end

      def system(action)
        case action["do"]
        when "lock" then @screen.with(locked: true, list: nil)
        when "home" then @screen.with(open: [], closed: [*@screen.state["closed"], *@screen.state["open"]].last(10))
        when "back" then @screen.with(open: @screen.state["open"].rotate(1))
        when "light-on", "light-off" then @screen.with(light: action["do"] == "light-on")
        when "light-toggle" then @screen.with(light: !@screen.state["light"])
        when "mute-all" then @screen.with(muted: true)
        when "choose" then @screen.list && @screen.list.works == "open" ? take : @screen
        else @screen
        end
      end

      def back(_action) = Course.new(@screen).back

      def help(_action) = @screen.with(help: @screen.state["help"] + 1)

      def shortlist(action)
        list = @screen.fitting.shortlist(action["shortlist"]) or return @screen
        return @screen.with(list: { "id" => list.id, "marked" => 0 }) unless action["do"]
        return @screen unless @screen.list

        step = action["do"] == "previous" ? -1 : 1
        @screen.with(list: @screen.state["list"].merge("marked" => (@screen.state["list"]["marked"] + step) % @screen.lines.size))
      end

      # A mode that a shortlist is stepped through in opens and closes it; which mode is on, the engine says.
      def mode(action)
        return @screen unless action["shortlist"]
        return shortlist(action.slice("shortlist")) if action["how"] == "lock" && @screen.list.nil?

        action["do"] == "take" && @screen.list ? take : @screen.with(list: nil)
      end

      # Does the marked line, or another one; the list is closed by it.
      def take(line = @screen.state["list"]["marked"])
        item = @screen.list.items.first(@screen.kind.most)[line]
        closed = @screen.with(list: nil)
        return closed.does(@screen.knowledge.catalogue.whole(item.action)) if item

        closed.with(said: Words.say(:shortlist_leave_effect, name: @screen.list.name || @screen.list.id))
      end

      def counted(what)
        @screen.with(counts: @screen.state["counts"].merge(what => @screen.state["counts"].fetch(what, 0) + 1))
      end
    end
  end
end
