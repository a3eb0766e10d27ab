# frozen_string_literal: true

module Veranda
  module Http
    # The first page, see {Preparing::Desk}.
    class Desk < Resource
      get('/api/desk') { json(aside(:desk, person: someone![:id], now: hub.clock.call)) }
    end
  end
end
