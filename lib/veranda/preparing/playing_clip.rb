# frozen_string_literal: true

module Veranda
  module Preparing
    # Puts on a sound or clip of the shelf for everybody in a place of a class.
    class PlayingClip
      # @param archive [Store::Archive]
      # @param lesson [Hash]
      # @param by [Core::Person]
      # @param videos [LinkedVideo, nil] looks up links; without it they are not played
      def initialize(archive, lesson, by:, videos: nil)
        @archive = archive
        @lesson = lesson
        @by = by
        @videos = videos
      end

      # @param material [Hash]
      # @param sitting [String] id
      # @param place [String] id
      # @param rooms [Boolean] whether it plays in every open room too
      # @param act [String] id under which that is done once
      # @raise [Core::Refusal] `no_such_material`, `material_not_ready`, `no_clip`
      def call(material, sitting:, place:, rooms: false, act: Store::Ids.call)
        if material[:course_id] != @lesson[:course_id] || material[:sitting_id]
          raise Core::Refusal.new(:no_such_material, 'There is no such material on this shelf.')
        end

        facts = material[:kind] == 'link' ? linked(material) : facts(material)
        facts = { **facts, rooms: rooms ? @archive.sittings.state(sitting).rooms : [] }
        Deciding::Perform.call(@archive.log, 'class.put_on_clip', facts, stream: Core::Streams::StreamName.place(sitting, place),
                                                                         by: @by, sitting: sitting, id: act)
      end

      private

      # What lies elsewhere is played from there.
      def linked(material)
        raise Core::Refusal.new(:no_clip, 'That link cannot be looked up just now.') unless @videos

        { material: material[:id], version: material[:version], kind: 'clip', title: material[:title], **@videos.look(material[:link]) }
      end

      def facts(material)
        unless material[:state] == 'ready'
          raise Core::Refusal.new(:material_not_ready, 'This cannot be played yet. Try again when it is ready.')
        end

        length = (material[:facts].to_h.transform_keys(&:to_s)['seconds'].to_f * 1000).round
        unless Core::Sittings::Clip::KINDS.include?(material[:kind]) && length.positive?
          raise Core::Refusal.new(:no_clip, 'Only sounds and clips are played for everyone. Show this on a board.')
        end

        { material: material[:id], version: material[:version], kind: material[:kind], title: material[:title], length: length }
      end
    end
  end
end
