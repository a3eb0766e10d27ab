# frozen_string_literal: true

module Veranda
  module Http
    # The shelf: materials with their slides, findings and uses. Slides, and originals of sounds and clips, are
    # also given to students who have a board that shows them.
    class Materials < Resource
      MOST_SLIDE = Core::Boards::Board::MAX_PAGES
      CHANGES = Core::Contract.define do
        optional(:title).filled(:string, max_size?: 120)
        optional(:labels).value(:array, max_size?: 20).each(:string, max_size?: 40)
        optional(:first_slide).value(:integer, gteq?: 1, lteq?: MOST_SLIDE)
      end
      LINK = Core::Contract.define do
        required(:title).filled(:string, max_size?: 120)
        required(:link).value(:string, max_size?: 1000, format?: %r{\Ahttps?://[^\s"<>]+\z})
      end
      SHOWN = %i[id course_id title labels version first_slide link name type kind size state slide_count findings facts uses newer].freeze
      # What is shown in a page of ours can do nothing there.
      POLICY = "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox"
      # Of versions and slides that there can be, for the database's sake.
      MOST_VERSION = 1_000_000
      FOREVER = 'private, max-age=31536000, immutable'

      get '/api/courses/:id/materials' do |id|
        teaching!(id)
        found = archive.materials.of_course(id, search: params[:search].to_s[0, 200], sort: params[:sort])
        json(found.map { |material| shown(material) })
      end

      post '/api/courses/:id/links' do |id|
        teaching!(id)
        facts = Core::Contract.check(LINK, input)
        facts[:title] = Core::Title.clean(facts[:title])
        status 201
        json(id: archive.materials.add_link(course_id: id, person_id: someone![:id], **facts))
      end

      get '/api/materials/:id' do |id|
        material = mine!(id)
        slides = archive.materials.slides(id, material[:version])
        json(shown(material).merge(slides: slides.map do |slide|
          slide.slice(:slide, :w, :h, :words)
        end, uses: archive.materials.boards(id)))
      end

      # A file that was posted in a class, for whoever reads it there.
      get '/api/posted/:id' do |id|
        material = archive.materials.fetch(id)
        allowed!(reader.slide?(material))
        json(told(material))
      end

      # Staff who read it put it on the shelf.
      post '/api/posted/:id/shelf' do |id|
        material = archive.materials.fetch(id)
        teaching!(material[:course_id])
        allowed!(reader.slide?(material))
        archive.materials.shelve(id)
        json({})
      end

      patch '/api/materials/:id' do |id|
        mine!(id)
        facts = Core::Contract.check(CHANGES, input)
        facts[:title] = Core::Title.clean(facts[:title]) if facts[:title]
        facts[:labels] = facts[:labels].map(&:strip).reject(&:empty?).uniq if facts[:labels]
        json(shown(archive.materials.update(id, **facts)))
      end

      delete '/api/materials/:id' do |id|
        mine!(id)
        archive.materials.take_off(id)
        json({})
      end

      get '/api/materials/:id/:version/slides/:slide' do |id, version, slide|
        open!(id, version, slide)
        found = slide(id, version, slide)
        give(found[:picture], found[:type])
      end

      get '/api/materials/:id/:version/thumbnails/:slide' do |id, version, slide|
        open!(id, version, slide)
        give(slide(id, version, slide)[:thumbnail], 'image/png')
      end

      get '/api/materials/:id/:version/poster' do |id, version|
        open!(id, version)
        poster = archive.materials.version(id, number(version, most: MOST_VERSION))[:facts].to_h['poster']
        raise Core::Refusal.new(:no_such_slide, 'There is no picture of it.') unless poster

        give(poster, 'image/png')
      end

      get '/api/materials/:id/:version/original' do |id, version|
        row = archive.materials.version(id, number(version, most: MOST_VERSION))
        allowed!(reader.original?(archive.materials.fetch(id), row[:kind], version: row[:version]))
        unless row[:original] && archive.files.exist?(row[:original])
          raise Core::Refusal.new(:no_such_material, 'The original is not kept here.')
        end

        plays = %w[sound clip].include?(row[:kind])
        give(row[:original], row[:type], as: plays ? 'inline' : 'attachment', name: row[:name])
      end

      private

      def slide(id, version, slide)
        archive.materials.slide(id, number(version, most: MOST_VERSION), number(slide, most: MOST_VERSION))
      end

      def shown(material)
        facts = material.slice(*SHOWN)
        facts.merge(made_at: ms(material[:made_at]),
                    facts: material[:facts].except(:poster).merge(poster: material[:facts].key?(:poster)))
      end

      # @return [Hash] the material, for those who teach its course
      def mine!(id)
        material = archive.materials.fetch(id)
        raise Core::Refusal.new(:no_such_material, 'That is not on the shelf.') if material[:sitting_id]

        material.tap { teaching!(material[:course_id]) }
      end

      # A material with its slides, as whoever may see it is told.
      def told(material)
        slides = archive.materials.slides(material[:id], material[:version])
        shown(material).merge(slides: slides.map { |slide| slide.slice(:slide, :w, :h, :words) }, uses: [])
      end

      def open!(id, version, slide = nil)
        version = number(version, most: MOST_VERSION)
        allowed!(reader.slide?(archive.materials.fetch(id), version: version, slide: slide && number(slide, most: MOST_VERSION)))
      end

      def allowed!(allowed)
        return if allowed

        someone!
        raise Core::Refusal.new(:no_access, 'That material is not open to you.')
      end

      def give(file, type, as: 'inline', name: nil)
        headers 'content-security-policy' => POLICY, 'x-content-type-options' => 'nosniff', 'cache-control' => FOREVER
        send_file archive.files.path(file), type: type, disposition: as, filename: name
      end
    end
  end
end
