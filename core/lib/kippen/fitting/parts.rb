# frozen_string_literal: true

module Kippen
  class Fitting
    # The parts a fitting is made of; each frozen, made by the readers only.
    # system – what kind of thing it is, see Fitting::SYSTEMS
    # double_click_ms – its own double-click time, or nil where nobody said
    # corrected – what somebody put right about it, see CorrectedHost, or nil
    Host = Struct.new(:id, :name, :system, :double_click_ms, :corrected, keyword_init: true)

    # Where a device sits on another: the switch in a socket, the pen on a tablet.
    Seat = Struct.new(:device, :place, keyword_init: true)

    # kind, variant – what it was made from, see Kinds; nil where it is of no known kind
    # own_kind      – the Kinds::Kind it was made from where the fitting itself says what that is, or nil
    # seat          – on which other device it sits, or nil
    # version       – of its firmware or system, as its maker counts; version_at – since when
    # worked_with, mounting, posture – in words
    # battery       – { "is" => one of BATTERY, "by" =>, "at" => } as somebody noted it, of the device or of its cell; or nil
    # ready         – { step => { "by" =>, "at" =>, "version" => } } of the steps that are done
    Device = Struct.new(:id, :name, :host, :off, :buttons, :kind, :own_kind, :variant, :seat, :version, :version_at,
                        :worked_with, :mounting, :posture, :battery, :ready, :corrected, keyword_init: true)
    BATTERY = %w[full half low].freeze

    # kind    – "contact" (closes and opens), "force" (a level), "notch" (a step of a wheel)
    # builtin – in words, what it does by itself, or nil where nobody said
    # signal  – which of the signals it can give counts, or nil for the kind's own
    # corrected – what somebody put right about it in place of what its kind says, see CorrectedReader; or nil
    # codes   – sources that a listener hears it by, where it was found by pressing: ["key:F6"]
    # effort_s – what a press on it costs this client beyond its time, in seconds; nil where nobody said
    # index   – its place in the fitting's order, which settles ties in the engine
    Button = Struct.new(:ref, :id, :name, :print, :builtin, :kind, :host, :device, :off, :index, :signal, :codes, :worked_with,
                        :effort_s, :corrected,
                        keyword_init: true) do
      # What stands on it, or nil; whoever wrote "none" meant that nothing does.
      def printed = NO_PRINT.include?(print.to_s.strip.downcase) ? nil : print
    end
    NO_PRINT = ["", "none", "nothing", "no", "blank", "-", "–", "—"].freeze

    # otherwise – what a button does in this mode where the mode says nothing about it
    # counting – "by_gap", or "while_held": presses are counted for as long as the hold that keeps it is on
    # shortlist – whose stepping it is, or nil
    Mode = Struct.new(:id, :name, :otherwise, :counting, :shortlist, keyword_init: true)

    # off_from_afar – not in force while somebody works on that host from elsewhere
    Place = Struct.new(:id, :name, :app, :part, :off, :off_from_afar, keyword_init: true) do
      # As pointer_in and focus_in tell it: "app" or "app/part".
      def where = [app, part].compact.join("/")
    end

    # host  – the one that shows it; works – "open" (then as the host has it) or "step" (by the same
    # button); locked – with the screen locked too; items – [ShortlistItem] in their order
    Shortlist = Struct.new(:id, :name, :host, :works, :locked, :items, keyword_init: true)
    ShortlistItem = Struct.new(:action, :name, keyword_init: true)

    # hosts – systems on which it exists; commands – [Command]
    App = Struct.new(:id, :name, :hosts, :commands, keyword_init: true)

    # Something an app can be told to do. keys – the combination for it, or nil; locked – systems on
    # which it works with the screen locked; facts – { "effect", "words", "after", "undo", "harm" } where told
    Command = Struct.new(:id, :name, :keys, :locked, :facts, keyword_init: true)

    # what        – in the client's words; place – an id of a place, or everywhere
    # hosts       – ids, empty for any; times_a_day – Integer or nil
    # wrong       – what a wrong press costs, one of WRONG; importance – one of IMPORTANCE
    # second_way  – is another one, on another device, asked for? nil where nobody said
    # action      – the JSON object of the action that would do it, or nil where nobody said
    Want = Struct.new(:id, :what, :place, :hosts, :times_a_day, :wrong, :asked_by, :importance, :second_way, :action,
                      keyword_init: true)

    # Assignments of one device's buttons that follow another's. mirror – left becomes right
    Link = Struct.new(:from, :to, :mirror, keyword_init: true)

    Repeat = Struct.new(:after_us, :every_us, keyword_init: true)

    # action – the JSON object as given, frozen
    Assignment = Struct.new(:button, :gesture, :place, :mode, :action, :at_once, :repeat, :off, :index, keyword_init: true) do
      def mode_action? = action["kind"] == "mode"
      def held_mode = (action["mode"] if mode_action? && action["how"] == "held")
    end
  end
end
