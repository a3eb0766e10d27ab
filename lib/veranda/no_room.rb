# frozen_string_literal: true

module Veranda
  # A disk that is full, whoever finds it so: we, a program that we have started, or the database.
  module NoRoom
    SAYS = 'There is no room left on the disk of the server. Nothing was kept of it; make room there, then try again.'
    # What programs say then, see errno(3).
    WORDS = /No space left on device|Disk quota exceeded/

    module_function

    # @param error [Exception]
    # @return [Boolean]
    def why?(error)
      return true if [Errno::ENOSPC, Errno::EDQUOT].any? { |kind| error.is_a?(kind) }
      return error.wrapped_exception.is_a?(PG::DiskFull) if error.is_a?(Sequel::DatabaseError)

      error.is_a?(Workshop::Tool::Failed) && error.message.match?(WORDS)
    end

    # @return [Core::Refusal]
    def refusal = Core::Refusal.new(:no_room, SAYS)
  end
end
