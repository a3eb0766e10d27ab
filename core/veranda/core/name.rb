# frozen_string_literal: true

module Veranda
  module Core
    # The name a person gives at the doors.
    #
    #   Name.clean("  Farah \n Lindqvist ") #=> "Farah Lindqvist"
    #
    # Raises {Refusal} `name_missing` when nothing is left after cleaning and
    # `name_too_long` over {LIMIT} characters: names are shown in full, never cut.
    module Name
      LIMIT = 60
      INVISIBLE = /[\p{Cc}\p{Cf}\p{Z}\p{Cn}\p{Co}\s]+/

      # @param text [String]
      # @return [String]
      def self.clean(text)
        name = text.to_s.scrub('').gsub(INVISIBLE, ' ').strip
        raise Refusal.new(:name_missing, 'Please write the name others should see.') if name.empty?
        if name.length > LIMIT
          raise Refusal.new(:name_too_long, "Please use a name of #{LIMIT} characters or fewer; this one has #{name.length}.")
        end

        name
      end
    end
  end
end
