# frozen_string_literal: true

require 'fileutils'
require 'open3'
require 'ripper'
require 'tmpdir'

# How well do the core's specs watch the core? One operator, constant, guard or name is changed at a time, in a copy of the
# project, and the specs of the core are run until one fails. What none of them notices is printed, to be given a spec or to
# be found equal in effect.
class Mutate
  ROOT = File.expand_path('../..', __dir__)
  WORKERS = 2
  # s that a run may take before it counts as noticed: it hangs.
  LONGEST = 180

  OPERATORS = {
    '==' => '!=', '!=' => '==', '<' => '<=', '<=' => '<', '>' => '>=', '>=' => '>', '+' => '-', '-' => '+', '*' => '/',
    '/' => '*', '&&' => '||', '||' => '&&', '<<' => '-', '|' => '&', '&' => '|', '%' => '*'
  }.freeze
  KEYWORDS = { 'if' => 'unless', 'unless' => 'if', 'true' => 'false', 'false' => 'true' }.freeze
  NAMES = {
    'first' => 'last', 'last' => 'first', 'min' => 'max', 'max' => 'min', 'any?' => 'none?', 'all?' => 'any?', 'none?' => 'any?',
    'select' => 'reject', 'reject' => 'select', 'take' => 'drop', 'drop' => 'take', 'floor' => 'ceil', 'ceil' => 'floor',
    'empty?' => 'any?', 'positive?' => 'negative?', 'negative?' => 'positive?', 'zero?' => 'positive?', 'compact' => 'itself',
    'uniq' => 'itself', 'reverse' => 'itself', 'abs' => 'itself', 'round' => 'floor'
  }.freeze
  # Lines that only guard: taken out whole.
  GUARD = /\A\s*(may! |staff!\(|going_on!|unlocked!|changeable!|page!|room!|open_board!|raise |return )/

  Mutant = Struct.new(:file, :line, :from, :to, :text, keyword_init: true)

  # @param count [Integer]
  # @param seed [Integer]
  # @param files [Array<String>] of the core; all unless given
  def initialize(count, seed, files = [])
    @count = count
    @rng = Random.new(seed)
    @files = files.empty? ? Dir[File.join(ROOT, 'core/veranda/core/**/*.rb')] : files.map { |file| File.expand_path(file) }
  end

  def run
    mutants = @files.sort.flat_map { |file| of(file) }.sample(@count, random: @rng)
    queue = Queue.new
    mutants.each { |mutant| queue << mutant }
    survivors = Array.new(WORKERS) { Thread.new { work(queue) } }.flat_map(&:value)
    survivors.sort_by { |mutant| [mutant.file, mutant.line] }.each { |mutant| tell(mutant) }
    puts "#{survivors.length} of #{mutants.length} went unnoticed."
  end

  private

  # @return [Array<Mutant>] every change that could be made to a file
  def of(file)
    source = File.read(file)
    lines = source.lines
    swaps = Ripper.lex(source).filter_map { |(line, column), kind, token, _| swap(file, lines, line, column, kind, token) }
    guards = lines.each_with_index.filter_map do |text, i|
      next unless text.match?(GUARD) && complete?(text)

      Mutant.new(file: file, line: i + 1, from: text.strip, to: 'nil', text: [*lines.take(i), "nil\n", *lines.drop(i + 1)].join)
    end
    swaps + guards
  end

  # A guard that is a statement of its own, and no part of a longer one.
  def complete?(text) = !Ripper.sexp(text).nil? && !text.rstrip.end_with?(',')

  def swap(file, lines, line, column, kind, token)
    to = case kind
         when :on_op then OPERATORS[token]
         when :on_kw then KEYWORDS[token]
         when :on_ident then NAMES[token]
         when :on_int then (token.to_i + 1).to_s
         when :on_float then (token.to_f.zero? ? 0.5 : token.to_f * 1.5).to_s
         end
    return if to.nil? || lines[line - 1].match?(/\A\s*(#|require|module |class |raise Refusal|finding\(|said)/)

    bytes = lines[line - 1].b
    changed = (bytes[0, column] + to.b + bytes[(column + token.bytesize)..]).force_encoding(Encoding::UTF_8)
    Mutant.new(file: file, line: line, from: token, to: to, text: [*lines.take(line - 1), changed, *lines.drop(line)].join)
  end

  # @return [Array<Mutant>] those that went unnoticed
  def work(queue)
    Dir.mktmpdir('mutate') do |dir|
      %w[core spec .rspec Gemfile Gemfile.lock .bundle].each do |part|
        FileUtils.cp_r(File.join(ROOT, part), dir) if File.exist?(File.join(ROOT, part))
      end
      # Whatever fails already would hide everything.
      abort 'The specs of the core fail as they are.' unless passes?(dir, all_specs(dir))

      survivors = []
      while (mutant = next_of(queue))
        survivors << mutant unless noticed?(dir, mutant)
        print '.'
      end
      survivors
    end
  end

  def next_of(queue)
    queue.pop(true)
  rescue ThreadError
    nil
  end

  def noticed?(dir, mutant)
    place = File.join(dir, mutant.file.delete_prefix(ROOT))
    return true unless Ripper.sexp(mutant.text)

    before = File.read(place)
    File.write(place, mutant.text)
    !passes?(dir, specs(dir, mutant))
  ensure
    File.write(place, before) if before
  end

  def passes?(dir, specs)
    command = ['timeout', LONGEST.to_s, 'bundle', 'exec', 'rspec', '--fail-fast', '--no-color', '--order', 'defined', *specs]
    _, status = Open3.capture2e({ 'BUNDLE_GEMFILE' => File.join(ROOT, 'Gemfile') }, *command, chdir: dir)
    status.success?
  end

  # The one on layers reads folders that are not copied.
  def all_specs(dir) = Dir[File.join(dir, 'spec/core/**/*_spec.rb')].grep_v(/layers_spec/).sort

  # The specs nearest to what was changed come first, so that most changes are noticed soon.
  def specs(dir, mutant)
    part = mutant.file[%r{core/veranda/core/(\w+)/}, 1]
    near, far = all_specs(dir).partition { |spec| part && spec.include?("/#{part}") }
    near + far
  end

  def tell(mutant)
    puts "\n#{mutant.file.delete_prefix("#{ROOT}/")}:#{mutant.line}: #{mutant.from} → #{mutant.to}",
         "    #{File.readlines(mutant.file)[mutant.line - 1].strip}"
  end
end

count, seed, *files = ARGV
abort 'bin/mutate COUNT SEED [FILES…]' unless count && seed
Mutate.new(Integer(count), Integer(seed), files).run
