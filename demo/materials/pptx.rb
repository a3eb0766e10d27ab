# frozen_string_literal: true

require 'cgi'
require 'fileutils'
require 'zip'

module Demo
  # Writes a slide deck as PPTX (ECMA-376): titles, lines, columns, tables, pictures, notes for the speaker,
  # right-to-left text and movement, so that what breaks in practice can be tried.
  #
  #   Pptx.new([{ title: 'Sound signals', lines: ['One short blast'] }]).write('deck.pptx')
  #
  # A slide may have `lines:`, `columns:` (two lists), `table:` (rows), `picture:` (PNG data), `notes:`, `rtl:`,
  # `moves:` and `font:`; an empty Hash is a slide with nothing on it.
  class Pptx
    # English Metric Units: 914,400 to the inch; slides are 13.33 by 7.5 inches.
    WIDE = 12_192_000
    HIGH = 6_858_000
    NAMESPACES = 'xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" ' \
                 'xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" ' \
                 'xmlns:p="http://schemas.openxmlformats.org/presentationml/2006/main"'
    RELATIONS = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships'
    TYPES = 'application/vnd.openxmlformats-officedocument.presentationml'
    EMPTY_TREE = '<p:nvGrpSpPr><p:cNvPr id="1" name=""/><p:cNvGrpSpPr/><p:nvPr/></p:nvGrpSpPr><p:grpSpPr/>'
    # What a presenter's program writes for a line that fades in on a click.
    MOVES = '<p:timing><p:tnLst><p:par><p:cTn id="1" dur="indefinite" nodeType="tmRoot"><p:childTnLst><p:animEffect transition="in" ' \
            'filter="fade"><p:cBhvr><p:cTn id="2" dur="500"/><p:tgtEl><p:spTgt spid="2"/></p:tgtEl></p:cBhvr></p:animEffect>' \
            '</p:childTnLst></p:cTn></p:par></p:tnLst></p:timing>'

    # @param slides [Array<Hash>]
    # @param font [String] family of all text that names none
    def initialize(slides, font: 'Liberation Sans')
      @slides = slides
      @font = font
    end

    # @param path [String]
    # @return [String] the path
    def write(path)
      FileUtils.rm_f(path)
      Zip::File.open(path, create: true) do |zip|
        parts.each { |name, text| zip.get_output_stream(name) { |out| out.write(text) } }
      end
      path
    end

    private

    def parts
      fixed = { '[Content_Types].xml' => content_types, '_rels/.rels' => relations(['officeDocument', 'ppt/presentation.xml']),
                'ppt/presentation.xml' => presentation, 'ppt/_rels/presentation.xml.rels' => presentation_relations,
                'ppt/theme/theme1.xml' => theme, 'ppt/slideMasters/slideMaster1.xml' => master,
                'ppt/slideMasters/_rels/slideMaster1.xml.rels' => relations(['slideLayout', '../slideLayouts/slideLayout1.xml'], ['theme', '../theme/theme1.xml']),
                'ppt/slideLayouts/slideLayout1.xml' => layout,
                'ppt/slideLayouts/_rels/slideLayout1.xml.rels' => relations(['slideMaster', '../slideMasters/slideMaster1.xml']) }
      @slides.each_with_index.reduce(fixed) { |all, (slide, i)| all.merge(slide_parts(slide, i + 1)) }
    end

    def slide_parts(slide, number)
      related = [['slideLayout', '../slideLayouts/slideLayout1.xml']]
      related << ['image', "../media/picture#{number}.png"] if slide[:picture]
      related << ['notesSlide', "../notesSlides/notesSlide#{number}.xml"] if slide[:notes]
      own = { "ppt/slides/slide#{number}.xml" => slide(slide), "ppt/slides/_rels/slide#{number}.xml.rels" => relations(*related) }
      own["ppt/media/picture#{number}.png"] = slide[:picture] if slide[:picture]
      own["ppt/notesSlides/notesSlide#{number}.xml"] = notes(slide[:notes]) if slide[:notes]
      own
    end

    def xml(body) = %(<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n#{body})

    def relations(*rows)
      list = rows.each_with_index.map { |(kind, target), i| %(<Relationship Id="rId#{i + 1}" Type="#{RELATIONS}/#{kind}" Target="#{target}"/>) }
      xml(%(<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">#{list.join}</Relationships>))
    end

    def presentation_relations
      relations(['slideMaster', 'slideMasters/slideMaster1.xml'], *@slides.each_index.map { |i| ['slide', "slides/slide#{i + 1}.xml"] })
    end

    def content_types
      parts = { 'presentation.xml' => 'presentation.main', 'slideMasters/slideMaster1.xml' => 'slideMaster', 'slideLayouts/slideLayout1.xml' => 'slideLayout' }
      @slides.each_index { |i| parts["slides/slide#{i + 1}.xml"] = 'slide' }
      @slides.each_with_index { |slide, i| parts["notesSlides/notesSlide#{i + 1}.xml"] = 'notesSlide' if slide[:notes] }
      list = parts.map { |name, type| %(<Override PartName="/ppt/#{name}" ContentType="#{TYPES}.#{type}+xml"/>) }
      xml(%(<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ) +
        %(ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/>) +
        %(<Default Extension="png" ContentType="image/png"/>#{list.join}<Override PartName="/ppt/theme/theme1.xml" ) +
        'ContentType="application/vnd.openxmlformats-officedocument.theme+xml"/></Types>')
    end

    def presentation
      ids = @slides.each_index.map { |i| %(<p:sldId id="#{256 + i}" r:id="rId#{i + 2}"/>) }
      xml(%(<p:presentation #{NAMESPACES}><p:sldMasterIdLst><p:sldMasterId id="2147483648" r:id="rId1"/></p:sldMasterIdLst>) +
        %(<p:sldIdLst>#{ids.join}</p:sldIdLst><p:sldSz cx="#{WIDE}" cy="#{HIGH}"/><p:notesSz cx="#{HIGH}" cy="#{WIDE}"/></p:presentation>))
    end

    def theme
      colours = { dk1: '23313A', lt1: 'FFFFFF', dk2: '17665E', lt2: 'FBF7EE', accent1: '2C5F8A', accent2: 'A8412A', accent3: '3F6B2A', accent4: '7A3B69',
                  accent5: '7A5217', accent6: '55636B', hlink: '2C5F8A', folHlink: '7A3B69' }
      scheme = colours.map { |name, value| %(<a:#{name}><a:srgbClr val="#{value}"/></a:#{name}>) }.join
      fonts = %w[majorFont minorFont].map { |name| %(<a:#{name}><a:latin typeface="#{@font}"/><a:ea typeface=""/><a:cs typeface=""/></a:#{name}>) }.join
      fill = '<a:solidFill><a:schemeClr val="phClr"/></a:solidFill>'
      line = %(<a:ln w="9525">#{fill}</a:ln>)
      effect = '<a:effectStyle><a:effectLst/></a:effectStyle>'
      xml(%(<a:theme xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" name="Sound"><a:themeElements><a:clrScheme name="Sound">#{scheme}</a:clrScheme>) +
        %(<a:fontScheme name="Sound">#{fonts}</a:fontScheme><a:fmtScheme name="Sound"><a:fillStyleLst>#{fill * 3}</a:fillStyleLst><a:lnStyleLst>#{line * 3}</a:lnStyleLst>) +
        %(<a:effectStyleLst>#{effect * 3}</a:effectStyleLst><a:bgFillStyleLst>#{fill * 3}</a:bgFillStyleLst></a:fmtScheme></a:themeElements></a:theme>))
    end

    def master
      xml(%(<p:sldMaster #{NAMESPACES}><p:cSld><p:bg><p:bgPr><a:solidFill><a:srgbClr val="FFFDF9"/></a:solidFill><a:effectLst/></p:bgPr></p:bg>) +
        %(<p:spTree>#{EMPTY_TREE}</p:spTree></p:cSld><p:clrMap bg1="lt1" tx1="dk1" bg2="lt2" tx2="dk2" accent1="accent1" accent2="accent2" accent3="accent3" ) +
        'accent4="accent4" accent5="accent5" accent6="accent6" hlink="hlink" folHlink="folHlink"/><p:sldLayoutIdLst><p:sldLayoutId id="2147483649" r:id="rId1"/>' \
        '</p:sldLayoutIdLst></p:sldMaster>')
    end

    def layout = xml(%(<p:sldLayout #{NAMESPACES} type="blank"><p:cSld><p:spTree>#{EMPTY_TREE}</p:spTree></p:cSld></p:sldLayout>))

    def notes(text)
      xml(%(<p:notes #{NAMESPACES}><p:cSld><p:spTree>#{EMPTY_TREE}#{box(2, [500_000, 500_000, 5_000_000, 5_000_000], [text], 1200)}</p:spTree></p:cSld></p:notes>))
    end

    def slide(slide)
      font = slide[:font]
      shapes = []
      shapes << box(2, [600_000, 350_000, WIDE - 1_200_000, 900_000], [slide[:title]], 3600, font: font, rtl: slide[:rtl], bold: true) if slide[:title]
      shapes << box(3, [600_000, 1_500_000, WIDE - 1_200_000, 4_600_000], slide[:lines], 2400, font: font, rtl: slide[:rtl]) if slide[:lines]
      (slide[:columns] || []).each_with_index { |lines, i| shapes << box(4 + i, [600_000 + i * 5_700_000, 1_500_000, 5_300_000, 4_600_000], lines, 2000, font: font) }
      shapes << table(slide[:table]) if slide[:table]
      shapes << picture if slide[:picture]
      xml(%(<p:sld #{NAMESPACES}><p:cSld><p:spTree>#{EMPTY_TREE}#{shapes.join}</p:spTree></p:cSld>#{MOVES if slide[:moves]}</p:sld>))
    end

    def box(id, (x, y, w, h), lines, size, font: nil, rtl: false, bold: false)
      latin = %(<a:latin typeface="#{font || '+mn-lt'}"/>)
      written = lines.map do |line|
        %(<a:p><a:pPr#{' rtl="1" algn="r"' if rtl}/><a:r><a:rPr lang="en-GB" sz="#{size}"#{' b="1"' if bold}>#{latin}</a:rPr><a:t>#{CGI.escapeHTML(line)}</a:t></a:r></a:p>)
      end
      %(<p:sp><p:nvSpPr><p:cNvPr id="#{id}" name="Text #{id}"/><p:cNvSpPr txBox="1"/><p:nvPr/></p:nvSpPr><p:spPr><a:xfrm><a:off x="#{x}" y="#{y}"/>) +
        %(<a:ext cx="#{w}" cy="#{h}"/></a:xfrm><a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr><p:txBody><a:bodyPr wrap="square"/>#{written.join}</p:txBody></p:sp>)
    end

    def table(rows)
      wide = (WIDE - 1_200_000) / rows.first.length
      columns = %(<a:gridCol w="#{wide}"/>) * rows.first.length
      body = rows.map do |row|
        cells = row.map { |text| %(<a:tc><a:txBody><a:bodyPr/><a:p><a:r><a:rPr lang="en-GB" sz="1800"/><a:t>#{CGI.escapeHTML(text)}</a:t></a:r></a:p></a:txBody><a:tcPr/></a:tc>) }
        %(<a:tr h="500000">#{cells.join}</a:tr>)
      end
      %(<p:graphicFrame><p:nvGraphicFramePr><p:cNvPr id="20" name="Table"/><p:cNvGraphicFramePr/><p:nvPr/></p:nvGraphicFramePr><p:xfrm><a:off x="600000" y="1600000"/>) +
        %(<a:ext cx="#{WIDE - 1_200_000}" cy="#{500_000 * rows.length}"/></p:xfrm><a:graphic><a:graphicData uri="http://schemas.openxmlformats.org/drawingml/2006/table">) +
        %(<a:tbl><a:tblPr/><a:tblGrid>#{columns}</a:tblGrid>#{body.join}</a:tbl></a:graphicData></a:graphic></p:graphicFrame>)
    end

    def picture
      '<p:pic><p:nvPicPr><p:cNvPr id="30" name="Picture"/><p:cNvPicPr/><p:nvPr/></p:nvPicPr><p:blipFill><a:blip r:embed="rId2"/><a:stretch><a:fillRect/></a:stretch></p:blipFill>' \
        '<p:spPr><a:xfrm><a:off x="7000000" y="2500000"/><a:ext cx="3600000" cy="2700000"/></a:xfrm><a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr></p:pic>'
    end
  end
end
