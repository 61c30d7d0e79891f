# frozen_string_literal: true

module Kippen
  # Random changes of places, modes, shortlists and cues. Part of EditFuzz.
  module RandomWhere
    def where_change
      place = pick(@fitting.places.map(&:id) + ["none"])
      mode = pick(@fitting.modes.map(&:id) + ["none"])
      list = pick(@fitting.shortlists.map(&:id) + ["none"])
      case @random.rand(15)
      when 14 then { "kind" => "point", "directions" => %w[up right down left].to_h { |one| [one, button] }, "step_px" => 12,
                     "faster" => "no" }
      when 0 then { "kind" => "place",
                    "place" => { "app" => pick(%w[rookery screen wrenbox]),
                                 "part" => pick(["margin", "Left edge", nil]) }.compact }
      when 1 then { "kind" => "place", "place" => { "id" => place, "off" => chance(2), "off_from_afar" => chance(2) } }
      when 2 then { "kind" => "remove_place", "id" => place }
      when 3 then { "kind" => "mode",
                    "mode" => { "name" => pick(%w[Reading Radio Bells]), "otherwise" => pick(%w[base builtin nothing]) } }
      when 4 then { "kind" => "mode", "mode" => { "id" => mode, "name" => "Called anew" } }
      when 5 then { "kind" => "remove_mode", "id" => mode }
      when 6, 7 then { "kind" => "shortlist",
                       "shortlist" => { "name" => "Often", "host" => pick(self.class::HOSTS)["id"],
                                        "works" => pick(%w[open step]),
                                        "items" => lines } }
      when 8 then { "kind" => "shortlist", "shortlist" => { "id" => list, "works" => pick(%w[open step]), "items" => lines } }
      when 9 then { "kind" => "remove_shortlist", "id" => list }
      when 10, 11 then { "kind" => "open_shortlist", "shortlist" => list, "button" => button,
                         "gesture" => pick(%w[tap double_tap long_press]) }
      when 12 then { "kind" => "hold_and_count", "held" => button, "counted" => button,
                     "counts" => { "tap" => pick(self.class::ACTIONS), "double_tap" => pick(self.class::ACTIONS) } }
      else { "kind" => "cues",
             "cues" => { "long_press" => pick([%w[hear], %w[see feel], []]),
                         "quiet" => pick([nil, { "from" => "21:00", "to" => "07:00" }]) } }
      end
    end

    def lines
      Array.new(1 + @random.rand(7)) do |index|
        { "action" => index.zero? ? pick(self.class::ACTIONS) : { "kind" => "text", "text" => "Line #{index}" } }
      end
    end
  end
end
