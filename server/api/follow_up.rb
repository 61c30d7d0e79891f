# frozen_string_literal: true

module Kippen
  module Server
    # What became of a client's fitting since last time.
    module FollowUpRoutes
      # Of work of a core, for what each revision changed.
      TELLING_S = 1.5

      def self.registered(app)
        app.get("/api/clients/:client/follow-up") { json(FollowUp.new(self, params["client"], sought["since"]).to_h) }
      end

      # app – App; since – the number of a revision; nil: since last time
      class FollowUp
        def initialize(app, client, since)
          @client = client
          @visits = Store::Visits.new(app.database, client)
          @history = Store::History.new(app.database, client)
          @after, @revision = app.revisions.fitting(client)
          @since = since || @visits.usual
          @before = @history.fitting(@since)
          @deadline = Server.deadline(TELLING_S)
        end

        def to_h
          days = @visits.days.map { |row| row(row) }
          { "since" => @since, "revision" => @revision[:number], "days" => days, "changed" => changed, "differs" => differs,
            "wants" => wants, "given_up" => given_up, "next_visit" => @after.document.dig("client", "next_visit") }
        end

        private

        def row(row) = { "number" => row[:number], "at" => Times.iso(row[:created_at]), "by" => row[:author] }

        # Each revision since then with what it changed; what the time doesn't let be told is told as nothing.
        def changed
          @changed ||= @visits.since(@since).map do |row|
            row(row).merge("note" => row[:note], "took_back" => row[:took_back], "words" => words(row))
          end
        end

        def words(row)
          @deadline.check
          before, after = [row[:parent], row[:number]].map { |number| @history.fitting(number) }
          Changes::Differences.new(before, after, KNOWLEDGE.of(after)).words
        rescue Deadline::Passed, Invalid
          []
        end

        def differs = Changes::Differences.new(@before, @after, KNOWLEDGE.of(@after)).words

        # Those of now; was – did it work then? nil: it wasn't wanted then
        def wants
          was, now = [@before, @after].map { |fitting| works(fitting) }
          @after.wants.map { |want| { "id" => want.id, "what" => want.what, "works" => now[want.id], "was" => was[want.id] } }
        end

        # { id of a want => does anything do it where it is wanted? }
        def works(fitting)
          undone = Check::WantUndone.new(Check::Case.new(fitting, KNOWLEDGE)).undone.map(&:id)
          fitting.wants.to_h { |want| [want.id, !undone.include?(want.id)] }
        end

        # What was saved and taken back again, and what was begun and given up.
        def given_up
          taken = changed.select { |one| one["took_back"] }.map { |one| taken(one) }
          time = @history.page(before: @since + 1).first[:created_at]
          taken + @visits.given_up(time).map do |one|
            name = one[:what] == "fit" ? button_name(one[:of]) : device_name(one[:of])
            { "words" => Words.say(:"given_up_#{one[:what]}", name:), "at" => Times.iso(one[:at]), "by" => one[:by] }
          end
        end

        def taken(one)
          words = Words.say(:given_up_revision, number: one["took_back"])
          { "words" => [words, *one["words"]].join(" "), "at" => one["at"], "by" => one["by"] }
        end

        def button_name(ref)
          button = @after.button(ref)
          button ? Words.button(@after.device(button.device), button) : ref
        end

        def device_name(id) = @after.device(id)&.name || id
      end
    end
  end
end
