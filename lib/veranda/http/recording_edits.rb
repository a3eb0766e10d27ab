# frozen_string_literal: true

module Veranda
  module Http
    # How a recording was edited, for those who teach the class; its captions among that.
    class RecordingEdits < Resource
      include OfRecording

      # How it was edited, for those who do.
      get('/api/recordings/:id/edits') { |id| edits(id) }

      # How loud it was, for whoever looks for where to cut.
      get '/api/recordings/:id/levels' do |id|
        staff_of_recording!(id)
        raise archive.recordings.no_such_recording unless archive.sittings.state(id).ended?

        json(aside(:recording_levels, sitting: id))
      end

      EDITS = Core::Commands::EDITING.map { |command| command.wire_name.delete_prefix('recording.') }.freeze

      # Does one of these to it.
      post '/api/recordings/:id/edits/:edit' do |id, edit|
        person = staff_of_recording!(id)
        raise Core::Refusal.new(:unknown_command, 'That cannot be done to a recording.') unless EDITS.include?(edit)

        aside(:edit_recording, sitting: id, edit: edit, with: input, by: person.to_h)
        edits(id)
      end

      # Takes captions in from a file, in place of those that were there in that language.
      put '/api/recordings/:id/captions/:lang' do |id, lang|
        person = staff_of_recording!(id)
        raise Core::Refusal.new(:bad_input, 'Say the language as en or pt-BR.') unless Core::Types::LANGUAGE.valid?(lang)

        path = archive.files.scratch_file('vtt', brought(Core::Recordings::CaptionFile::BIGGEST))
        json(problems: aside(:take_captions, sitting: id, lang: lang, path: path, by: person.to_h))
      ensure
        FileUtils.rm_f(path) if path
      end

      # Lets go of it for good.
      delete '/api/recordings/:id' do |id|
        staff_of_recording!(id)
        aside(:delete_recording, sitting: id)
        json({})
      end

      private

      def edits(id)
        staff_of_recording!(id)
        sitting = archive.sittings.state(id)
        raise Core::Refusal.new(:not_recorded, 'There is no recording of this class to edit.') unless sitting.ended?

        made = archive.recordings.edits(id)
        whole = Core::Recordings::Recording.new(sitting, edits: Core::Recordings::Edits.from(made.to_h.slice(:chapters)))
        people = sitting.seats.each_value.reject(&:staff?).map { |seat| { id: seat.id, name: seat.name } }
        json(**made.view, from: sitting.opened_at, to: sitting.ended_at, recorded: whole.clock.stretches, people: people)
      end
    end
  end
end
