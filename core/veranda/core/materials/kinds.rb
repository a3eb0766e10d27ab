# frozen_string_literal: true

module Veranda
  module Core
    module Materials
      # What may be brought, by media type (as told by the content, not the name), and what becomes of it.
      module Kinds
        PDF = 'application/pdf'
        SVG = 'image/svg+xml'
        OFFICE = {
          'application/vnd.openxmlformats-officedocument.presentationml.presentation' => 'pptx',
          'application/vnd.oasis.opendocument.presentation' => 'odp',
          'application/vnd.openxmlformats-officedocument.wordprocessingml.document' => 'docx',
          'application/vnd.oasis.opendocument.text' => 'odt'
        }.freeze
        PICTURES = %w[image/png image/jpeg image/webp image/gif].push(SVG).freeze
        SOUNDS = %w[audio/mpeg audio/ogg audio/vorbis audio/opus audio/x-wav audio/wav audio/vnd.wave].freeze
        CLIPS = %w[video/mp4 video/webm].freeze

        ALLOWED = 'PDF, PPTX, ODP, DOCX, ODT, PNG, JPEG, WebP, GIF, SVG, MP3, OGG, WAV, MP4 and WebM'

        module_function

        # @param type [String] media type
        # @return [String] `document`, `picture`, `sound` or `clip`
        # @raise [Refusal] `kind_unknown`
        def of(type)
          case type
          when PDF, *OFFICE.keys then 'document'
          when *PICTURES then 'picture'
          when *SOUNDS then 'sound'
          when *CLIPS then 'clip'
          else raise Refusal.new(:kind_unknown, "The shelf takes #{ALLOWED}. Save the file as one of these and upload that.")
          end
        end
      end
    end
  end
end
