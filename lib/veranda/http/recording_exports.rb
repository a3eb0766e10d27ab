# frozen_string_literal: true

module Veranda
  module Http
    # What staff take away of a recording and takes longer than one waits for: it is made beside, and given out once it is there.
    class RecordingExports < Resource
      include OfRecording

      TYPES = { '.webm' => 'video/webm', '.mp4' => 'video/mp4', '.zip' => 'application/zip' }.freeze
      FILM = Core::Contract.define do
        required(:formats).value(:array, min_size?: 1, max_size?: 2).each(:string, included_in?: Workshop::Film::Encoder::FORMATS)
        required(:captions).value(:string, included_in?: Workshop::Film::Plan::CAPTIONS)
        optional(:lang).maybe(Core::Types::LANGUAGE)
      end

      get('/api/recordings/:id/exports') { |id| exports(id) }

      post '/api/recordings/:id/exports/films' do |id|
        person = staff_of_recording!(id)
        watchable(id)
        wish = Core::Contract.check(FILM, input)
        if wish[:captions] == 'burnt' && wish[:lang].nil?
          raise Core::Refusal.new(:bad_input, 'Say in which language captions are to stand in the picture.')
        end

        archive.exports.want(id, 'film', { **wish, formats: wish[:formats].uniq.sort }, by: person.id)
        status 201
        exports(id)
      end

      # All of it as one zip of open formats.
      post '/api/recordings/:id/exports/zips' do |id|
        person = staff_of_recording!(id)
        watchable(id)
        archive.exports.want(id, 'zip', {}, by: person.id)
        status 201
        exports(id)
      end

      delete '/api/recordings/:id/exports/:export' do |id, export|
        staff_of_recording!(id)
        aside(:drop_export, sitting: id, export: export)
        exports(id)
      end

      get '/api/recordings/:id/exports/:export/:name' do |id, export, name|
        staff_of_recording!(id)
        found = archive.exports.find(id, export)
        file = found && found[:state] == 'ready' && found[:files].find { |one| one[:name] == name }
        unless file && archive.files.exist?(file[:file])
          raise Core::Refusal.new(:no_such_export, 'This file is not there any more. Make it again.')
        end

        lesson = archive.lessons.fetch(archive.recordings.fetch(id)[:lesson_id])
        headers 'content-security-policy' => NOTHING_RUNS, 'x-content-type-options' => 'nosniff', 'cache-control' => 'private, no-cache'
        send_file archive.files.path(file[:file]), type: TYPES.fetch(File.extname(name)), disposition: 'attachment',
                                                   filename: "#{Core::Materials::FileName.plain(lesson[:title])}#{File.extname(name)}"
      end

      private

      def exports(id)
        staff_of_recording!(id)
        rows = archive.exports.of(id).map do |row|
          formats, captions = row[:wishes].values_at(:formats, :captions)
          { **row.slice(:id, :kind, :state, :done, :says), made_at: ms(row[:made_at]), formats: formats || [], captions: captions || 'none',
                                                           files: row[:files].map { |file| file.slice(:name, :size) } }
        end
        json(exports: rows)
      end
    end
  end
end
