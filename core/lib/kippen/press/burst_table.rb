# frozen_string_literal: true

module Kippen
  module Press
    # What happens to a burst: for each of its states, what each event does. Bursts has the methods that do it.
    #
    # States:
    #   through  – the built-in has started; it ends with the release
    #   spent    – all is said already; the burst is over at the release
    #   first    – first press down, may still become long
    #   counting – a press down that counts, and can't become long
    #   between  – let go, a further press is waited for
    #   full     – the press down reached the top count, which has happened, or will when the hold ends
    #   after    – let go after the top count; further presses are swallowed
    #   beyond   – a press down beyond the top count
    #   holding  – became long; lasts until the release
    #
    # Events:
    #   press   – a further press on its button is known
    #   release – the press that was down was let go, and this is known
    #   long    – the long-press time is due
    #   gap     – nobody pressed again in time, or nothing more is waited for
    #   repeat  – a repeat is due
    #   freed   – the hold that its mode came from is over
    module BurstTable
      HEAD, *BODY = <<~TABLE.lines.map(&:split).freeze
        state     press          release        long         gap           repeat      freed
        through   impossible     end_builtin    impossible   impossible    impossible  go_on
        spent     impossible     over           impossible   impossible    impossible  go_on
        first     impossible     let_go_short   become_long  impossible    impossible  go_on
        counting  impossible     wait_for_more  impossible   impossible    impossible  go_on
        between   count_further  impossible     impossible   decide_count  impossible  wait_no_more
        full      impossible     wait_beyond    impossible   impossible    impossible  go_on
        after     go_beyond      impossible     impossible   end_count     impossible  wait_no_more
        beyond    impossible     swallow        impossible   impossible    impossible  go_on
        holding   impossible     end_hold       impossible   impossible    repeat      go_on
      TABLE
      EVENTS = HEAD.drop(1).map(&:to_sym).freeze

      # { state => { event => name of a method of Bursts } }
      ROWS = BODY.to_h { |state, *actions| [state.to_sym, EVENTS.zip(actions.map(&:to_sym)).to_h.freeze] }.freeze

      # A class that takes the table gets a method for each event, with its column: calling by name would take a
      # third of the engine's time.
      def self.included(bursts)
        EVENTS.each do |event|
          column = ROWS.map { |state, row| "when :#{state} then #{row.fetch(event)}(burst)" }.join("\n")
          bursts.class_eval(<<~RUBY, __FILE__, __LINE__ + 1)
            def on_#{event}(burst) # def on_gap(burst)
              case burst.state
              #{column} # when :through then impossible(burst)
              end
            end
          RUBY
        end
      end
    end
  end
end
