# frozen_string_literal: true

module Veranda
  module Http
    # Files on their way to the shelf. An upload is begun, then sent in pieces, each of which says where it
    # begins (`Upload-Offset`); asking for it tells where to go on after a break. The last piece makes the material.
    class Uploads < Resource
      NEW = Core::Contract.define do
        optional(:course).value(Core::Types::ID)
        optional(:sitting).value(Core::Types::ID)
        required(:name).filled(:string, max_size?: 400)
        required(:size).value(:integer, gteq?: 0, lteq?: 1 << 50)
        optional(:replaces).maybe(Core::Types::ID)
        optional(:label).maybe(:string, max_size?: 40)
        optional(:purpose).value(:string, included_in?: %w[material lesson recording])
      end
      # At once, for one person.
      MOST_OPEN = 40
      # s after which an upload that nobody went on with is let go.
      FORGOTTEN = 86_400

      post '/api/uploads' do
        facts = Core::Contract.check(NEW, input)
        archive.uploads.sweep(before: Time.now - FORGOTTEN)
        # What somebody has under way, and how much they post in a day, is counted with what they begin now.
        upload = Store::Turn.of(archive.db, 'uploads', someone![:id]) { begin_one(facts) }
        status 201
        json(shown(upload))
      end

      get('/api/uploads/:id') { |id| json(shown(archive.uploads.fetch(id, someone![:id]))) }

      patch '/api/uploads/:id' do |id|
        upload = archive.uploads.fetch(id, someone![:id])
        offset = request.get_header('HTTP_UPLOAD_OFFSET').to_s[/\A\d{1,16}\z/]&.to_i
        raise Core::Refusal.new(:bad_input, 'A piece has to say where it begins (Upload-Offset).') unless offset

        upload = archive.uploads.add(upload, offset, piece)
        json(upload[:received] == upload[:size] ? shown(upload).merge(whole(upload)) : shown(upload))
      end

      delete '/api/uploads/:id' do |id|
        archive.uploads.cancel(archive.uploads.fetch(id, someone![:id]))
        json({})
      end

      private

      def begin_one(facts)
        facts[:sitting] ? posting!(facts) : shelving!(facts)
        if archive.uploads.open_of(someone![:id]) >= MOST_OPEN
          raise Core::Refusal.new(:too_fast, 'Many uploads are under way. Wait until some are through.')
        end

        archive.uploads.begin(course_id: facts[:course], person_id: someone![:id], sitting_id: facts[:sitting],
                              **facts.except(:course, :sitting))
      end

      def shelving!(facts)
        raise Core::Refusal.new(:bad_input, 'A file goes to the shelf of a course, or to a class.') unless facts[:course]

        teaching!(facts[:course])
        replaces!(facts)
      end

      # A file for the exchange of a class. It replaces nothing, and nothing but a file is made of it.
      def posting!(facts)
        lesson = archive.lessons.fetch(archive.sittings.fetch(facts[:sitting])[:lesson_id])
        Preparing::Posting.new(archive, facts[:sitting], by: in_lesson!(lesson)).check!(facts[:size])
        facts[:course] = lesson[:course_id]
        facts[:purpose] = 'material'
        %i[replaces label].each { |field| facts.delete(field) }
      end

      def replaces!(facts)
        return unless facts[:replaces]

        material = archive.materials.fetch(facts[:replaces])
        return if material[:course_id] == facts[:course] && material[:sitting_id].nil?

        raise Core::Refusal.new(:no_such_material, 'There is no such material on this shelf.')
      end

      def shown(upload) = { id: upload[:id], offset: upload[:received], size: upload[:size], piece: Store::Uploads::PIECE }

      def piece
        bytes = request.body&.read(Store::Uploads::PIECE + 1) || ''
        return bytes unless bytes.bytesize > Store::Uploads::PIECE

        raise Core::Refusal.new(:too_large, 'That piece is too large. Send smaller ones.')
      end

      # @return [Hash] what came of it: `{ material: }`, `{ lesson: }` or `{ recording: }`, an id
      def whole(upload)
        case upload[:purpose]
        when 'lesson' then { lesson: made_of(upload, :take_lesson) }
        when 'recording' then { recording: made_of(upload, :take_recording) }
        else { material: material(upload) }
        end
      rescue Core::Refusal
        archive.uploads.cancel(upload)
        raise
      end

      def material(upload)
        type = Workshop::Sniff.type(archive.files.upload_path(upload[:id]), upload[:name])
        archive.materials.take(upload, type: type, kind: Core::Materials::Kinds.of(type)).first
      end

      # @param task [Symbol] see {Aside::Tasks}
      def made_of(upload, task)
        path = archive.files.upload_path(upload[:id])
        taken = aside(task, path: path, course: upload[:course_id], by: someone![:id])
        archive.uploads.cancel(upload)
        taken
      end
    end
  end
end
