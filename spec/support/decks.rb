# frozen_string_literal: true

require 'fileutils'
require 'hexapdf'
require 'open3'
require 'tmpdir'
require 'zip'
require 'zlib'
require_relative '../../demo/materials/pptx'

# Files as they break in practice, each made by script when it is first asked for.
module Decks
  FOLDER = Dir.mktmpdir('decks')
  at_exit { FileUtils.rm_rf(FOLDER) }

  # A point of colour, as PNG.
  DOT = ['89504E470D0A1A0A0000000D4948445200000001000000010802000000907753DE0000000C49444154789C6360F8CF00000002000105E221' \
         'BC330000000049454E44AE426082'].pack('H*').freeze

  module_function

  # @param name [Symbol] one of the methods below
  # @return [String] path of the file
  def path(name)
    @made ||= {}
    @made[name] ||= send(name)
  end

  def file(name) = File.join(FOLDER, name)

  # Six slides: a font nobody has, two columns, a table, a picture with notes for the speaker, right-to-left text and
  # movement, and one with nothing on it.
  def deck
    slides = [
      { title: 'Sound signals', lines: ['One short blast: I am altering my course to starboard'], font: 'Nautilus Display' },
      { title: 'Two columns', columns: [%w[Port red], %w[Starboard green]] },
      { title: 'A table', table: [%w[Leg Tide], ['1', 'with, 0.8'], ['2', 'across, 1.2']] },
      { title: 'A picture', picture: DOT, notes: 'Let Gethin do the sum' },
      { title: 'مرحبا بكم في الميناء', lines: ['من اليمين إلى اليسار'], rtl: true, moves: true },
      {}
    ]
    Demo::Pptx.new(slides).write(file('deck.pptx'))
  end

  # The same deck in the other office formats, and as PDF.
  def odp = converted('odp')
  def pdf = converted('pdf')

  def docx = letter('docx')
  def odt = letter('odt')

  def letter(ending)
    File.write(file('letter.txt'), "Notes for the passage\n\nLeave Pell Light to port.")
    convert('letter.txt', ending)
  end

  def converted(ending)
    path(:deck)
    convert('deck.pptx', ending)
  end

  # With the fonts that the workshop has, whatever others are there: what overlaps what must not depend on the machine.
  def convert(name, ending)
    fonts = { 'FONTCONFIG_FILE' => Veranda::Workshop::Fonts::PACKAGED }
    said, status = Open3.capture2e(fonts, 'soffice', "-env:UserInstallation=file://#{file('profile')}", '--headless', '--convert-to', ending, '--outdir', FOLDER, file(name))
    raise said unless status.success?

    file("#{File.basename(name, '.*')}.#{ending}")
  end

  def long_pdf = pages('long.pdf', 210)
  def locked_pdf = pages('locked.pdf', 2) { |doc| doc.encrypt(owner_password: 'harbour', user_password: 'harbour') }

  # A PDF that ends in the middle: its table of contents is gone, most of its pages are not.
  def truncated_pdf
    whole = File.binread(pages('whole.pdf', 20))
    file('truncated.pdf').tap { |path| File.binwrite(path, whole[0, whole.bytesize * 6 / 10]) }
  end

  def rubbish_pdf = file('rubbish.pdf').tap { |path| File.binwrite(path, "%PDF-1.7\n#{'ruined ' * 400}") }

  def pages(name, count)
    doc = HexaPDF::Document.new
    (1..count).each do |number|
      page = doc.pages.add(:A5)
      page.canvas.font('Helvetica', size: 24).text("Page #{number}", at: [60, 400])
      # Each page right after what is on it, as programs write that make pages as they go.
      page[:Contents]
    end
    yield doc if block_given?
    doc.write(file(name), optimize: false)
    file(name)
  end

  # A picture of 20,000 by 20,000 points, all white; small as a file.
  def huge_png
    row = "\x00#{"\xFF" * 2500}".b
    deflate = Zlib::Deflate.new(1)
    data = +''.b
    20_000.times { data << deflate.deflate(row) }
    data << deflate.finish
    png('huge.png', 20_000, 20_000, data, depth: 1)
  end

  def small_png = png('small.png', 40, 30, Zlib.deflate("\x00#{"\x17\x66\x5E" * 40}".b * 30), depth: 8, colour: 2)

  def png(name, width, height, data, depth:, colour: 0)
    chunk = ->(type, body) { [body.bytesize].pack('N') + type + body + [Zlib.crc32(type + body)].pack('N') }
    head = [width, height, depth, colour, 0, 0, 0].pack('NNCCCCC')
    file(name).tap do |path|
      File.binwrite(path, "\x89PNG\r\n\x1A\n".b + chunk.call('IHDR'.b, head) + chunk.call('IDAT'.b, data) + chunk.call('IEND'.b, ''.b))
    end
  end

  # An office file, and a lesson's zip, that would unpack to ten gigabytes.
  def bomb_pptx = bomb('bomb.pptx', 'ppt/media/bomb.bin')
  def bomb_zip = bomb('bomb.zip', 'manifest.json')

  # The same megabyte of nothing, packed once and repeated, under a head that says it is small (APPNOTE 4.3).
  def bomb(name, entry)
    deflate = Zlib::Deflate.new(9, -15)
    megabyte = deflate.deflate("\0" * 1024 * 1024, Zlib::FULL_FLUSH)
    data = (megabyte * 10_240) + Zlib::Deflate.new(9, -15).deflate('', Zlib::FINISH)
    about = [20, 0, 8, 0, 0x21, 0, data.bytesize, 1000, entry.bytesize, 0].pack('v5V3v2')
    local = "PK\x03\x04".b + about + entry.b + data
    central = "PK\x01\x02".b + [20].pack('v') + about + [0, 0, 0, 0, 0].pack('v3VV') + entry.b
    finish = "PK\x05\x06".b + [0, 0, 1, 1, central.bytesize, local.bytesize, 0].pack('v4V2v')
    file(name).tap { |path| File.binwrite(path, local + central + finish) }
  end

  def hostile_svg
    file('hostile.svg').tap do |path|
      File.write(path, <<~SVG)
        <svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 200 100" onload="alert(1)">
          <script>alert(2)</script>
          <style>@import url(https://elsewhere.example/a.css);</style>
          <image href="https://elsewhere.example/pixel.png" width="10" height="10"/>
          <image href="file:///etc/passwd" width="10" height="10"/>
          <a xlink:href="javascript:alert(3)"><text x="10" y="20">Harrow Sound</text></a>
          <foreignObject><body xmlns="http://www.w3.org/1999/xhtml"><iframe src="https://elsewhere.example"/></body></foreignObject>
          <rect width="50" height="50" fill="url(https://elsewhere.example/f.svg#x)" onclick="alert(4)"/>
          <circle cx="100" cy="50" r="30" fill="#17665E"/>
        </svg>
      SVG
    end
  end

  def tone = media('tone.ogg', '-f', 'lavfi', '-i', 'sine=frequency=440:duration=2')
  def clip = media('clip.webm', '-f', 'lavfi', '-i', 'testsrc=size=320x180:rate=10:duration=2', '-c:v', 'libvpx')

  def media(name, *source)
    said, status = Open3.capture2e('ffmpeg', '-nostdin', '-v', 'error', *source, '-y', file(name))
    raise said unless status.success?

    file(name)
  end

  def program = file('harmless.pdf').tap { |path| File.binwrite(path, "MZ\x90\x00#{"\0" * 200}") }
end
