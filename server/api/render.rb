# frozen_string_literal: true

module Kippen
  module Server
    # Core values as the JSON of the contract.
    module Render
      module_function

      def revision(row)
        { "number" => row[:number], "parent" => row[:parent], "author" => row[:author], "note" => row[:note],
          "created_at" => Times.iso(row[:created_at]), "page" => row[:page] }
      end

      def client(row)
        { "id" => row[:id], "name" => row[:name].empty? ? Words.say(:client_without_name) : row[:name], "about" => row[:about],
          "revision" => row[:revision], "seen_at" => Times.iso(row[:seen_at]), "open" => row[:open].to_h }
      end

      # head – Store::Revisions::Head; open – what is open, as Standing counts it; pending – what is to be confirmed, or nil
      # contacts – { device id => what was pressed of it }
      def desk(id, head, open:, contacts:, pending:)
        fitting = head.fitting
        { "id" => id, "name" => fitting.name, "about" => fitting.document.dig("client", "about") || "" }.merge(
          "revision" => revision(head.row), "unreadable" => head.unreadable, "open" => open,
          "hosts" => fitting.hosts.map do |host|
            host(fitting, host, contacts)
          end,
          "places" => places(fitting), "modes" => modes(fitting), "apps" => fitting.apps.map { |one| app(fitting, one) },
          "confirm_s" => fitting.document.fetch("confirm_s", Store::Confirmations::USUAL_S),
          "bears_ms" => Check::Late.bears_ms(fitting),
          "confirm" => pending && confirm(fitting, pending)
        )
      end

      # regions – [Press::Regions::Region]
      def regions(regions)
        regions.map { |one| { "stretch" => one.stretch, "kind" => one.kind, "from_us" => one.from_us, "to_us" => one.to_us } }
      end

      # written – it stands in the fitting, and is not only spoken of
      def app(fitting, app)
        item = fitting.list("apps").find { |one| one["id"] == app.id }
        { "id" => app.id, "name" => app.name, "hosts" => app.hosts, "written" => !item.nil?,
          "offered" => item&.fetch("offered", nil) == true,
          "commands" => app.commands.map { |one| { "id" => one.id, "name" => one.name, "keys" => one.keys || [] } } }
      end

      # pending – Store::Confirmations::Pending
      def confirm(fitting, pending)
        buttons, lost = [pending.now, pending.lost].map { |refs| refs.filter_map { |ref| fitting.button(ref) } }
        heard = heard_as(fitting, buttons)
        named = lambda do |list|
          list.map { |one| button(one, fitting.device(one.device)).then { |told| told.merge("name" => told["full_name"]) } }
        end
        { "revision" => pending.revision, "page" => pending.page, "left_ms" => pending.left_ms, "buttons" => named.call(buttons),
          "lost" => named.call(lost),
          "heard_as" => heard.map { |one| CODES.describe(one["source"]).name }, "sources" => heard }
      end

      def sources(fitting) = fitting.recall(:sources) { Kinds::Sources.new(fitting, KINDS) }

      # [{ "source", "button" }] by which a browser hears some buttons.
      def heard_as(fitting, buttons)
        sources = sources(fitting)
        buttons.flat_map { |one| sources.of(one).keys.map { |source| { "source" => source, "button" => one.ref } } }.uniq do |one|
          one["source"]
        end
      end

      def host(fitting, host, contacts)
        devices = fitting.devices.select { |device| device.host == host.id }
        sources = sources(fitting)
        usual = KNOWLEDGE.host_kinds.of(host.system)
        { "id" => host.id, "name" => host.name || host.id, "system" => host.system, "double_click_ms" => host.double_click_ms,
          "usual" => { "lines" => usual.most, "steps" => usual.steps.most }, "corrected" => host.corrected,
          "devices" => devices.map { |device| device(fitting, device, contacts, sources) } }
      end

      def device(fitting, device, contacts, sources)
        kind = KINDS.of(device)
        ready = Kinds::Ready.new(kind, device, fitting.host(device.host), contacts: contacts.fetch(device.id, []))
        { "id" => device.id, "name" => device.name || device.id, "worked_with" => device.worked_with,
          "drawing" => kind && RenderDevices.drawing(kind, device.variant),
          "off" => device.off, "battery" => device.battery &&
            device.battery["is"], "open_steps" => ready.open.size, "seat" => seat(device.seat),
          "buttons" => device.buttons.map { |button| button(button, device).merge("sources" => sources.of(button).keys) } }
      end

      def seat(seat) = seat && { "device" => seat.device, "place" => seat.place }

      # device – the Fitting::Device it is on
      def button(button, device)
        { "ref" => button.ref, "name" => button.name || button.id, "full_name" => Words.button(device, button),
          "print" => button.printed || "", "kind" => button.kind, "off" => button.off,
          **(button.effort_s ? { "effort_s" => button.effort_s } : {}) }
      end

      def places(fitting)
        everywhere = { "id" => Fitting::EVERYWHERE, "name" => Words.say(:every_app), "off" => false, "whole_app" => nil }
        catalogue = CATALOGUE.of(fitting)
        [everywhere, *fitting.places.map do |place|
          { "id" => place.id, "name" => place.name || [catalogue.app(place.app), place.part].compact.join(", "),
            "off" => place.off,
            "whole_app" => place.part ? nil : place.app }
        end]
      end

      def modes(fitting)
        [{ "id" => Fitting::BASE, "name" => Words.say(:rung_usual), "otherwise" => "base", "shortlist" => nil },
         *fitting.modes.map do |mode|
           mode.to_h.slice(:id, :otherwise, :shortlist).transform_keys(&:to_s).merge("name" => mode.name || mode.id)
         end]
      end

      # entry – of a Catalogue; what asks for an app or a button gets them to choose from
      # fitting – the client's: what a want says of a wrong press goes before what is said in general
      def action(entry, catalogue, fitting)
        facts = entry.facts
        { "id" => entry.id, "name" => entry.name, "app" => entry.app, "words" => entry.words, "action" => entry.action,
          "group" => entry.group,
          "group_name" => entry.group_name, "asks" => entry.asks.map { |ask| ask(ask, catalogue, fitting) },
          "hosts" => catalogue.hosts(entry.action, entry), "locked" => entry.locked,
          "needs" => facts["needs"], "only" => entry.only({}), "repeats" => entry.repeats?,
          "step" => Steps.can_be?(entry.action) && entry.only({}).nil?, "after" => facts["after"],
          "undo" => facts["undo"] || facts["undone_by"]&.then { |id| catalogue.find(id).name },
          "harm" => harm(entry, fitting.wants) }
      end

      def harm(entry, wants)
        worst = wants.select { |want| want.action && entry.of?(want.action) }.max_by do |want|
          Fitting::WantsReader::WRONG.index(want.wrong)
        end
        return entry.harm unless worst

        { "cost" => worst.wrong, "words" => Words.say(:harm_of_want, what: worst.what, words: entry.harm["words"]) }
      end

      # Modifiers first, then every key of the code tables.
      def keys
        modifiers = Catalogue::Combination::MODIFIERS
          .map { |key| { "key" => key, "name" => Catalogue::Combination.named(key), "modifier" => true } }
        others = CODES.keys.select { |row| row["w3c"] && !row["w3c"].match?(/\A(Control|Shift|Alt|Meta)(Left|Right)\z/) }
        modifiers + others.map { |row| { "key" => row["w3c"], "name" => row["name"], "modifier" => false } }
      end

      def ask(ask, catalogue, fitting)
        ask.data.slice("member", "label", "usual", "from", "to", "step", "most")
          .merge({ "type" => ask.type,
                   "choices" => choices(ask, catalogue, fitting)&.map { |choice| { "only" => nil }.merge(choice) },
                   "hosts" => (hosts_steps if ask.type == "steps") }.compact)
      end

      def choices(ask, catalogue, fitting)
        case ask.type
        when "app" then catalogue.apps.map { |id, name| { "value" => id, "words" => name } }
        when "button"
          [{ "value" => ask.usual, "words" => Words.say(:the_button_itself) },
           *fitting.buttons.map { |one| { "value" => one.ref, "words" => Words.button(fitting.device(one.device), one) } }]
        else ask.data["choices"]
        end
      end

      # How many steps a host does by one press, with which pauses.
      def hosts_steps
        Fitting::ListReader::SYSTEMS.map do |system|
          { "system" => system }.merge(KNOWLEDGE.host_kinds.of(system).steps.to_h.transform_keys(&:to_s))
        end
      end
    end
  end
end
