# frozen_string_literal: true

module Kippen
  module Server
    # The built front end. Every address that isn't a file shows the desk.
    class Pages
      FILES = File.join(ROOT, "web", "dist")
      WORDS = "/words.json"
      # What the pages may load: only what ships with the application. Ant Design puts
      # its styles in the page as it draws, hence 'unsafe-inline' for styles.
      POLICY = "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; " \
               "frame-ancestors 'none'; base-uri 'none'; form-action 'self'"

      # spoken – Spoken, or nil: in English
      def initialize(files = FILES, spoken: SPOKEN)
        @spoken = spoken
        @files = Rack::Files.new(files)
        @index = File.join(files, "index.html")
        @folder = files
      end

      def call(env)
        path = env["PATH_INFO"]
        return words if @spoken && path == WORDS
        return page(env) unless asset?(path)

        status, headers, body = @files.call(env)
        headers["cache-control"] = "public, max-age=31536000, immutable" if path.start_with?("/assets/")
        [status, headers, body]
      end

      private

      def asset?(path)
        return false if path == "/" || path.include?("..") || path.include?("\0")

        File.file?(File.join(@folder, path))
      end

      def page(env)
        return Problem.response(405, Words.say(:pages_looked_at)) unless %w[GET HEAD].include?(env["REQUEST_METHOD"])
        return Problem.response(404, Words.say(:pages_not_built)) unless File.file?(@index)

        headers = { "content-type" => "text/html; charset=utf-8", "cache-control" => "no-cache",
                    "content-security-policy" => POLICY, "x-content-type-options" => "nosniff",
                    "referrer-policy" => "same-origin" }
        [200, headers, [spoken(File.read(@index))]]
      end

      # The page says which language it is in, and where its words are.
      def spoken(page)
        return page unless @spoken

        page.sub('<html lang="en">') { %(<html lang="#{@spoken.locale}" dir="#{@spoken.direction}" data-words="#{WORDS}">) }
      end

      def words
        [200, { "content-type" => "application/json", "cache-control" => "no-cache" }, [JSON.generate(@spoken.pages)]]
      end
    end
  end
end
