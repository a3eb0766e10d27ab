# frozen_string_literal: true

require 'que'

module Veranda
  module Store
    # The shelf of each course: materials, their versions and slides, and where they are used.
    class Materials
      # The job that works on new versions, by name, since it lives above.
      WORK = 'Veranda::Workshop::MakeSlides'
      # Documents have workers of their own: one that takes minutes holds up nobody's pictures, sounds or snapshots.
      DOCUMENTS = 'documents'

      # @param db [Sequel::Database]
      # @param files [Files]
      def initialize(db, files)
        @db = db
        @files = files
      end

      attr_reader :files

      # @return [Hash] the material with the facts of its present version
      # @raise [Core::Refusal] `no_such_material`
      def fetch(id)
        tidy(present.first(id: id)) || raise(Core::Refusal.new(:no_such_material, 'There is no such material on the shelf.'))
      end

      # @param ids [Array<String>]
      # @return [Array<Hash>] those of them that there are
      def find_all(ids) = present.where(id: ids).map { |row| tidy(row) }

      # @param search [String] words in the title, labels or the slides themselves
      # @param sort [String] `newest`, `title` or `size`
      # @return [Array<Hash>]
      def of_course(course_id, search: '', sort: 'newest')
        rows = present.where(course_id: course_id, taken_off_at: nil, sitting_id: nil)
        search.split.each { |word| rows = rows.where(matching(word)) }
        order = { 'title' => Sequel.function(:lower, :title), 'size' => Sequel.desc(:size) }.fetch(sort, Sequel.desc(:made_at))
        with_uses(rows.order(order, :id).limit(Core::Materials::Limits::MOST_LISTED).map { |row| tidy(row) })
      end

      # A whole upload becomes a material, or a new version of one, waiting to be worked on.
      # @param upload [Hash]
      # @param type [String] media type by content
      # @param kind [String] see {Core::Materials::Kinds}
      # @return [Array(String, Integer)] id and version
      def take(upload, type:, kind:)
        @db.transaction do
          id, version = upload[:replaces] ? next_version(upload[:replaces]) : add(upload)
          original = @files.move(@files.upload_path(upload[:id]), "materials/#{id}/#{version}/original")
          @db[:material_versions].insert(material_id: id, version: version, name: upload[:name], type: type, kind: kind,
                                         size: upload[:size], original: original, made_by: upload[:person_id])
          @db[:uploads].where(id: upload[:id]).delete
          # In the same commit, so that no material waits for a job that was never noted.
          Que.connection = @db
          queue = kind == 'document' ? { queue: DOCUMENTS } : {}
          Que.enqueue(id, version, job_options: { job_class: WORK, **queue })
          [id, version]
        end
      end

      # A link to a video elsewhere is kept as a material too.
      # @return [String] id
      def add_link(course_id:, person_id:, title:, link:)
        @db.transaction do
          id = Ids.call
          @db[:materials].insert(id: id, course_id: course_id, title: title, link: link, made_by: person_id)
          @db[:material_versions].insert(material_id: id, version: 1, name: title, type: 'text/uri-list', kind: 'link', size: 0,
                                         state: 'ready', slide_count: 0, made_by: person_id)
          id
        end
      end

      # @return [Array<String>] streams of a class in which it was posted
      def posted_in(id) = @db[:posted_files].where(material_id: id).distinct.select_map(:stream)

      # Puts what was posted on the shelf of its course.
      def shelve(id) = @db[:materials].where(id: id).update(sitting_id: nil)

      # @param since [Time]
      # @return [Integer] bytes that somebody brought to classes
      def posted_bytes(person_id, since:)
        there = @db[:material_versions].join(:materials, id: :material_id).exclude(sitting_id: nil)
                                       .where(Sequel[:materials][:made_by] => person_id) { Sequel[:materials][:made_at] > since }.sum(:size)
        (there || 0) + (@db[:uploads].where(person_id: person_id).exclude(sitting_id: nil).sum(:size) || 0)
      end

      # @param changes [Hash] any of `title`, `labels`, `first_slide`
      def update(id, **changes)
        changes[:labels] = Sequel.pg_array(changes[:labels], :text) if changes[:labels]
        @db[:materials].where(id: id).update(changes)
        fetch(id)
      end

      # Off the shelf; boards and recordings that show it still do.
      def take_off(id) = @db[:materials].where(id: id).update(taken_off_at: Sequel::CURRENT_TIMESTAMP)

      # @return [Hash] one version: `{ name:, type:, kind:, size:, original:, state:, slide_count:, findings:, facts: }`
      def version(id, version)
        @db[:material_versions].first(material_id: id, version: version) ||
          raise(Core::Refusal.new(:no_such_material, 'There is no such version of this material.'))
      end

      # @return [Array<Hash>] `{ slide:, w:, h:, words:, picture:, type:, thumbnail:, tones: }` in order
      def slides(id, version) = @db[:material_slides].where(material_id: id, version: version).order(:slide).all

      # @raise [Core::Refusal] `no_such_slide`
      def slide(id, version, slide)
        @db[:material_slides].first(material_id: id, version: version, slide: slide) ||
          raise(Core::Refusal.new(:no_such_slide, 'There is no such slide.'))
      end

      # In place of one that is there: work that was cut off is done again, at worst while it is still being done.
      def add_slide(id, version, **facts)
        row = { material_id: id, version: version, **facts, tones: Sequel.pg_jsonb(facts[:tones] || []) }
        @db[:material_slides].insert_conflict(target: %i[material_id version slide], update: row).insert(row)
      end

      # @param state [String] `working`, `ready` or `failed`
      # @param facts [Hash] any of `findings`, `facts`, `slide_count`
      def report(id, version, state, **facts)
        facts = facts.to_h { |name, value| [name, value.is_a?(Integer) ? value : Sequel.pg_jsonb(value)] }
        @db[:material_versions].where(material_id: id, version: version).update(state: state, **facts)
      end

      # A version is what the shelf gives out once it is ready; until then, the one before is.
      def promote(id, version) = @db[:materials].where(id: id) { version > Sequel[:materials][:version] }.update(version: version)

      # @return [Array<Hash>] boards that show something of it: `{ id:, name:, lesson_id:, lesson: }`
      def boards(id)
        @db[:material_uses].where(Sequel[:material_uses][:material_id] => id)
                           .join(:boards, id: :board_id).join(:lessons, id: :lesson_id).where(rehearsal_id: nil, copy_of: nil)
                           .select(Sequel[:boards][:id].as(:board), Sequel[:boards][:name], :lesson_id,
                                   Sequel[:lessons][:title].as(:lesson)).all
      end

      # @return [Array<Hash>] boards that show something of it, as {Core::Access} asks:
      #   `{ id:, lesson_id:, course_id:, audience:, people:, outside:, rehearsal_id: }`
      def shown_on(id)
        @db[:material_uses].where(Sequel[:material_uses][:material_id] => id).join(:boards, id: :board_id).join(:lessons, id: :lesson_id)
                           .select(Sequel[:boards][:id], :lesson_id, :course_id, :audience, :people, :outside, :rehearsal_id)
                           .map { |row| row.merge(people: row[:people].to_a) }
      end

      private

      # What becomes of a version that was brought after the present one.
      NEWER = Sequel.lit('(SELECT state FROM material_versions AS n WHERE n.material_id = materials.id AND n.version > materials.version ' \
                         'ORDER BY n.version DESC LIMIT 1) AS newer')
      private_constant :NEWER

      def present
        @db[:materials].join(:material_versions, { material_id: :id, version: :version }, table_alias: :v)
                       .select_all(:materials)
                       .select_append(Sequel[:v][:name], :type, :kind, :size, :original, :state, :slide_count, :findings, :facts)
                       .select_append(NEWER).from_self
      end

      def matching(word)
        like = "%#{@db[:materials].escape_like(word)}%"
        within = @db[:material_slides].where(Sequel.ilike(:words, like)).select(:material_id, :version)
        Sequel.ilike(:title,
                     like) | Sequel.ilike(Sequel.function(:array_to_string, :labels, ' '), like) | { %i[id version] => within }
      end

      def with_uses(materials)
        uses = @db[:material_uses].where(Sequel[:material_uses][:material_id] => materials.map { |row| row[:id] })
                                  .join(:boards, id: :board_id).join(:lessons, id: :lesson_id).where(rehearsal_id: nil, copy_of: nil)
                                  .select(Sequel[:material_uses][:material_id], Sequel[:boards][:id].as(:board),
                                          Sequel[:boards][:name], :lesson_id, Sequel[:lessons][:title].as(:lesson)).all
        by_material = uses.group_by { |use| use[:material_id] }
        materials.map { |row| row.merge(uses: (by_material[row[:id]] || []).map { |use| use.except(:material_id) }) }
      end

      def add(upload)
        id = Ids.call
        @db[:materials].insert(id: id, course_id: upload[:course_id], title: Core::Materials::FileName.title(upload[:name]),
                               labels: Sequel.pg_array([upload[:label]].compact, :text), made_by: upload[:person_id],
                               sitting_id: upload[:sitting_id])
        [id, 1]
      end

      def next_version(id)
        @db[:materials].where(id: id).for_update.first
        [id, @db[:material_versions].where(material_id: id).max(:version) + 1]
      end

      def tidy(row)
        row&.merge(labels: row[:labels].to_a, findings: row[:findings].map { |finding| finding.to_h.transform_keys(&:to_sym) },
                   facts: row[:facts].to_h.transform_keys(&:to_sym))
      end
    end
  end
end
