# frozen_string_literal: true

require_relative '../core_helper'

# Reads the code: what a layer names must lie in it or below it.
RSpec.describe 'The layers of Veranda' do
  root = File.expand_path('../..', __dir__)
  # From the ground up; what stands in one row may name each other.
  layers = [%w[core], %w[store], %w[deciding], %w[preparing], %w[workshop live stand_ins shapes], %w[aside], %w[http]]
  rank = layers.each_with_index.flat_map { |names, i| names.map { |name| [name, i] } }.to_h
  modules = rank.keys.to_h { |name| [name.split('_').map(&:capitalize).join, name] }

  # @return [Array<String>] names of the layers that a file speaks of in its code
  def named(text, modules)
    code = text.lines.reject { |line| line.strip.start_with?('#') }.join.gsub(/'[^']*'/, '')
    modules.keys.select { |name| code.match?(/(?<![\w:])(?:Veranda::)?#{name}::/) }
  end

  rank.each do |layer, height|
    folder = layer == 'core' ? 'core/veranda/core' : "lib/veranda/#{layer}"

    it "#{layer} names nothing above it" do
      files = Dir[File.join(root, folder, '**/*.rb')]
      expect(files).not_to be_empty
      upward = files.flat_map do |file|
        above = named(File.read(file), modules).select { |name| rank[modules[name]] > height }
        above.map { |name| "#{file.delete_prefix(root)} names #{name}" }
      end
      expect(upward).to be_empty
    end
  end

  it 'has a core without clock, chance, files, sockets or database' do
    impure = /\bTime\.now|SecureRandom|Kernel\.rand|\bFile\.(read|open|write)|require ['"](sequel|sinatra|async|rack|socket|pg|open3)/
    files = Dir[File.join(root, 'core/**/*.rb')]
    expect(files.select { |file| File.read(file).match?(impure) }).to be_empty
  end

  it 'would notice' do
    expect(named("module Store\n  x = Http::App.new\nend", modules)).to eq(['Http'])
    expect(named("# Http::App is above\nmodule Store\nend", modules)).to be_empty
  end
end
