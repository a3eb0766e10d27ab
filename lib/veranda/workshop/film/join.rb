# frozen_string_literal: true

module Veranda
  module Workshop
    module Film
      # Joins the segments of a film with its sound, captions and chapters, without encoding anything again.
      class Join
        CAPTIONS = { 'webm' => 'webvtt', 'mp4' => 'mov_text' }.freeze
        FINISH = { 'webm' => ['-cues_to_front', '1', '-f', 'webm'],
                   'mp4' => ['-movflags', '+faststart', '-video_track_timescale', '1000', '-f', 'mp4'] }.freeze

        # @param plan [Hash] see {Plan}
        # @param folder [String]
        def initialize(plan, folder)
          @plan = plan
          @folder = folder
        end

        # @return [String] path of the film
        def path(format) = File.join(@folder, "film.#{format}")

        # @param format [String]
        # @raise [Tool::Failed]
        def make(format)
          write('list', list(format))
          write('facts', facts)
          @plan[:tracks].each_with_index { |track, i| write("captions#{i}.vtt", captions(track)) }
          Dir.chdir(@folder) { Film.run(*command(format), "#{path(format)}.part") }
          File.rename("#{path(format)}.part", path(format))
        end

        private

        def write(name, text) = File.write(File.join(@folder, name), text)

        # Each with its exact length: without it every join would move what follows.
        def list(format)
          parts = Film.segments(@plan[:length]).map do |number, from, to|
            "file '#{File.basename(Film.segment(@folder, number, format))}'\nduration #{seconds(to - from)}\n"
          end
          "ffconcat version 1.0\n#{parts.join}"
        end

        # What is told of a film, and its chapters (FFMETADATA1).
        def facts
          chapters = @plan[:chapters].map do |chapter|
            "[CHAPTER]\nTIMEBASE=1/1000\nSTART=#{chapter[:from]}\nEND=#{chapter[:to]}\ntitle=#{escape(chapter[:title])}\n"
          end
          ";FFMETADATA1\ntitle=#{escape(@plan[:title])}\n#{chapters.join}"
        end

        def escape(text) = text.to_s.gsub(/[=;#\\]/) { |character| "\\#{character}" }.gsub(/\R/, ' ')

        def captions(track)
          Core::Recordings::WebVtt.write(track[:lines].map { |line| Core::Recordings::Cue.new(id: nil, **line) })
        end

        def command(format)
          sound = @plan[:sounds].any? ? ['-i', Film.sound(@folder, format)] : []
          tracks = @plan[:tracks].each_index.flat_map { |i| ['-i', "captions#{i}.vtt"] }
          facts = ((sound + tracks).length / 2) + 1
          ['ffmpeg', '-nostdin', '-v', 'error', '-y', '-f', 'concat', '-i', 'list', *sound, *tracks, '-f', 'ffmetadata', '-i', 'facts',
           '-map', '0:v', *(['-map', '1:a'] if sound.any?), *subtitles(sound.any? ? 2 : 1),
           '-map_metadata', facts.to_s, '-map_chapters', facts.to_s,
           '-c', 'copy', '-c:s', CAPTIONS.fetch(format), '-disposition:v', 'default', *FINISH.fetch(format)]
        end

        # @param first [Integer] number of the first input with captions
        def subtitles(first)
          @plan[:tracks].each_with_index.flat_map do |track, i|
            ['-map', "#{first + i}:s", "-metadata:s:s:#{i}", "language=#{track[:lang]}"]
          end
        end

        def seconds(ms) = format('%.3f', ms / 1000.0)
      end
    end
  end
end
