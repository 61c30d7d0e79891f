# frozen_string_literal: true

module Kippen
  module Standins
    # What an action does to the screen of a stand-in host: made from the action as data, told in the
    # catalogue's words.
    module Effects
      MOST_TEXT = 80
      LOUDEST = 10

      module_function

      # Takes a Screen and an action with all its values; returns the Screen after it.
      def of(screen, action)
        told = screen.with(said: screen.knowledge.catalogue.effect(action) || screen.knowledge.catalogue.name(action))
        HOW.key?(action["kind"]) ? send(HOW[action["kind"]], told, action) : told
      end

      HOW = { "open" => :open, "bring" => :open, "window" => :window, "switch" => :switch, "app" => :app, "click" => :click,
              "move" => :move,
              "scroll" => :scroll,
              "text" => :text, "keys" => :keys, "modifier" => :modifier,
              "volume" => :volume, "media" => :media, "call" => :call, "system" => :system, "help" => :help, Steps::BACK => :back,
              "shortlist" => :shortlist,
              "mode" => :mode }.freeze

      # In front, or behind what is.
      def open(screen, action)
        open = screen.state["open"] - [action["app"]]
        if action["how"] == "behind" && open.any?
          screen.with(open: [open.first, action["app"],
                             *open.drop(1)])
        else
          screen.with(open: [action["app"], *open], part: nil)
        end
      end

      def window(screen, action)
        open, closed = screen.state.values_at("open", "closed")
        return screen.with(open: [*closed.last(1), *open], closed: closed[0...-1], part: nil) if action["do"] == "reopen"

        screen.with(open: open.drop(1), closed: [*closed, *open.first(1)].last(10), part: nil)
      end

      def switch(screen, action) = screen.with(open: screen.state["open"].rotate(action["to"] == "next" ? 1 : -1), part: nil)

      # A command of an app; the one that turns the house lights shows it.
      def app(screen, action)
        turned = counted(screen, [action["app"], action["command"]].join("/"))
        case action["command"]
        when "toggle" then turned.with(lights: !screen.state["lights"])
        when "answer", "hang-up" then turned.with(call: action["command"] == "answer" ? "on" : "none")
        when "play-pause" then turned.with(playing: !screen.state["playing"])
        else turned
        end
      end

      # Where the pointer is: what lies behind comes to the front.
      def click(screen, action)
        return toggled(screen, Cues.kept(action)) if Cues.kept(action)
        return screen unless action["button"] == "left" && !action["how"]

        element = screen.layout.at(screen.state["pointer"])
        element && %w[window part behind].include?(element.kind) ? pressed(screen, element.where) : screen
      end

      def pressed(screen, where)
        app, part = where.split("/", 2)
        screen.with(open: [app, *(screen.state["open"] - [app])], part:)
      end

      # Told is the whole way since the press, as far as the pointer really went.
      def move(screen, action)
        run, before = screen.state.values_at("run", "pointer")
        step = Pointer.steps(action).px(run)
        after = before.zip(Pointer::DIRECTIONS.fetch(action["direction"]), screen.kind.screen).map do |at, sign, size|
          within(at + (sign * step * 100.0 / size))
        end
        moved = way(screen, before, after) + (run > 1 ? screen.state["moved"] : 0)
        screen.with(pointer: after, moved:, said: screen.knowledge.catalogue.effect(action.merge("step_px" => moved)))
      end

      # In px, along the longer side.
      def way(screen, before, after)
        after.zip(before, screen.kind.screen).map { |to, from, size| ((to - from).abs * size / 100).round }.max
      end

      def within(percent) = percent.clamp(0, 100).round(2)

      def scroll(screen, _action) = counted(screen, "scroll")

      def text(screen, action)
        screen.with(text: (screen.state["text"] + action["text"].to_s)[-MOST_TEXT..] ||
                    (screen.state["text"] + action["text"].to_s))
      end

      # An open shortlist is chosen from as the host has it.
      def keys(screen, action)
        return screen unless screen.list

        case action["keys"]
        when ["ArrowDown"] then shortlist(screen, { "shortlist" => screen.list.id, "do" => "next" })
        when ["ArrowUp"] then shortlist(screen, { "shortlist" => screen.list.id, "do" => "previous" })
        when ["Enter"] then take(screen)
        when ["Escape"] then screen.with(list: nil)
        else screen
        end
      end

      # Kept until pressed again, or for as long as it is held; for the next press it is not seen to stay.
      def modifier(screen, action)
        down = screen.state["modifiers"]
        case action["how"]
        when "lock" then toggled(screen, action["key"])
        when "held" then screen.with(modifiers: down | [action["key"]])
        else screen
        end
      end

      def toggled(screen, key)
        down = screen.state["modifiers"]
        screen.with(modifiers: down.include?(key) ? down - [key] : [*down, key])
      end

      # What lasted as long as held is over. Returns the Screen after it.
      def let_go(screen, action)
        if action["kind"] == "modifier" &&
           action["how"] == "held"
          screen.with(modifiers: screen.state["modifiers"] - [action["key"]])
        else
          screen
        end
      end

      def volume(screen, action)
        return screen.with(muted: !screen.state["muted"]) if action["direction"] == "mute"

        screen.with(volume: (screen.state["volume"] + (action["direction"] == "up" ? 1 : -1)).clamp(0, LOUDEST), muted: false)
      end

      def media(screen, action)
        case action["do"]
        when "play-pause" then screen.with(playing: !screen.state["playing"])
        when "stop" then screen.with(playing: false)
        else counted(screen, "media")
        end
      end

      def call(screen, action)
        screen.with(call: { "answer" => "on", "hang-up" => "none", "call" => "on" }.fetch(action["do"], screen.state["call"]))
      end

      def system(screen, action)
        case action["do"]
        when "lock" then screen.with(locked: true, list: nil)
        when "home" then screen.with(open: [], closed: [*screen.state["closed"], *screen.state["open"]].last(10))
        when "back" then screen.with(open: screen.state["open"].rotate(1))
        when "light-on", "light-off" then screen.with(light: action["do"] == "light-on")
        when "light-toggle" then screen.with(light: !screen.state["light"])
        when "mute-all" then screen.with(muted: true)
        when "choose" then screen.list && screen.list.works == "open" ? take(screen) : screen
        else screen
        end
      end

      def back(screen, _action) = Course.back(screen)

      def help(screen, _action) = screen.with(help: screen.state["help"] + 1)

      def shortlist(screen, action)
        list = screen.fitting.shortlist(action["shortlist"]) or return screen
        return screen.with(list: { "id" => list.id, "marked" => 0 }) unless action["do"]
        return screen unless screen.list

        step = action["do"] == "previous" ? -1 : 1
        screen.with(list: screen.state["list"].merge("marked" => (screen.state["list"]["marked"] + step) % screen.lines.size))
      end

      # A mode that a shortlist is stepped through in opens and closes it; which mode is on, the engine says.
      def mode(screen, action)
        return screen unless action["shortlist"]
        return shortlist(screen, action.slice("shortlist")) if action["how"] == "lock" && screen.list.nil?

        action["do"] == "take" && screen.list ? take(screen) : screen.with(list: nil)
      end

      # Does the marked line, or another one; the list is closed by it.
      def take(screen, line = screen.state["list"]["marked"])
        item = screen.list.items.first(screen.kind.most)[line]
        closed = screen.with(list: nil)
        if item
          closed.does(screen.knowledge.catalogue.whole(item.action))
        else
          closed.with(said: Words.say(:shortlist_leave_effect,
                                      name: screen.list.name || screen.list.id))
        end
      end

      def counted(screen, what)
        screen.with(counts: screen.state["counts"].merge(what => screen.state["counts"].fetch(what, 0) + 1))
      end
    end
  end
end
