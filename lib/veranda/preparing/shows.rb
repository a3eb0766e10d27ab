# frozen_string_literal: true

module Veranda
  module Preparing
    # Looks through whatever is told of a class for the slides and pictures that are on its boards, and for what was played in it.
    module Shows
      module_function

      # @param value [Object] of hashes and arrays
      # @return [Array<Array(String, Integer, Integer)>] material, version and slide, each once
      def slides(value) = each_hash(value).filter_map { |one| all(one, :material, :version, :slide) }.uniq

      # @param archive [Store::Archive]
      # @return [Array<Hash>] `{ material:, version:, slide:, path:, type: }` of those that are still kept here
      def pictures(archive, value)
        slides(value).filter_map do |material, version, slide|
          row = archive.materials.slide(material, version, slide)
          { material: material, version: version, slide: slide, path: archive.files.path(row[:picture]), type: row[:type] }
        rescue Core::Refusal
          nil
        end
      end

      # @return [Array<Array(String, Integer, String)>] material, version and title, each once
      def played(value)
        each_hash(value).filter_map { |one| all(one, :material, :version, :title) if one.key?(:length) }.uniq { |one| one.first(2) }
      end

      def all(one, *fields) = one.values_at(*fields).then { |values| values if values.all? }
      private_class_method :all

      # @return [Enumerator<Hash>]
      def each_hash(value, &block)
        return enum_for(:each_hash, value) unless block

        case value
        # Strokes are long, and hold nothing but numbers.
        when Array then value.each { |part| each_hash(part, &block) } unless value.first.is_a?(Numeric)
        when Hash
          yield value
          value.each_value { |part| each_hash(part, &block) }
        end
      end
      private_class_method :each_hash
    end
  end
end
