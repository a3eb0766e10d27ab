# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # A line of a caption, from and to in ms of a recording.
      Cue = Struct.new(:id, :from, :to, :words, keyword_init: true)
      # In one language of one recording.
      Cue::MOST = 5_000
      # Letters.
      Cue::LONGEST = 500
    end
  end
end
