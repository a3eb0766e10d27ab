# frozen_string_literal: true

require 'net/http'
require 'socket'
require_relative 'patience'

# Somebody's HTTP client: keeps cookies and the token that changes must carry.
class VisitorClient
  Response = Struct.new(:status, :body, :headers) do
    def code = body.is_a?(Hash) ? body['code'] : nil

    # As it came, in letters.
    def text = body.dup.force_encoding(Encoding::UTF_8)
  end

  attr_reader :cookie, :server

  # @param as [String, nil] a person of the demo school
  def initialize(server, as: nil)
    @server = server
    enter(Demo::SignIns.new(ARCHIVE, Veranda::Environment.session_secret).token('personal', person_id: as)) if as
  end

  def enter(token, name: nil)
    # Who one is changes with this, and the token with it.
    post('/api/links/enter', { token: token, name: name }).tap { @token = nil }
  end

  def get(path, **headers) = request(Net::HTTP::Get.new(path, headers.transform_keys(&:to_s)))
  def post(path, body = {}, headers = {}) = request(Net::HTTP::Post.new(path, headers), body)
  def patch(path, body) = request(Net::HTTP::Patch.new(path), body)
  def put_bytes(path, bytes) = request(Net::HTTP::Put.new(path), bytes, type: 'text/vtt')
  def delete(path) = request(Net::HTTP::Delete.new(path), {})

  # Sends a file to the shelf (or a lesson's zip) in pieces, as the front end does.
  # @return [Response] to the last piece, or to the beginning when that was refused
  def upload(path, course: 'navigation', piece: 1024 * 1024, **more)
    begun = post('/api/uploads', { course: course, name: File.basename(path), size: File.size(path), **more }.compact)
    return begun unless begun.status == 201

    File.open(path, 'rb') do |file|
      answer = nil
      while (bytes = file.read(piece))
        answer = send_piece(begun.body['id'], file.pos - bytes.bytesize, bytes)
        return answer unless answer.status == 200
      end
      answer
    end
  end

  def send_piece(upload, offset, bytes)
    request = Net::HTTP::Patch.new("/api/uploads/#{upload}")
    request['Upload-Offset'] = offset.to_s
    request(request, bytes, type: 'application/offset+octet-stream')
  end

  # Without the token, as another site would make it.
  def forged_post(path, body, origin: nil)
    request(Net::HTTP::Post.new(path), body, token: 'none', origin: origin)
  end

  # A request as it stands, from an address of its own on this machine, so that no limit by address is met.
  # @return [Response]
  def raw(method, path, body = nil, from: '127.0.0.1', type: 'application/json')
    head = { 'Cookie' => @cookie, 'X-CSRF-Token' => token.to_s, 'Content-Type' => type }.compact
    socket = TCPSocket.new('127.0.0.1', @server.port, from, 0)
    lines = ["#{method} #{path} HTTP/1.1", "Host: 127.0.0.1:#{@server.port}", 'Connection: close', *head.map { |name, value| "#{name}: #{value}" }]
    lines << "Content-Length: #{body.bytesize}" if body
    socket.write("#{lines.join("\r\n")}\r\n\r\n".b + body.to_s.b)
    text = socket.read
    rest = text.split("\r\n\r\n", 2).last.to_s
    rest = rest.gsub(/\G\h+\r\n(.*?)\r\n(?=\h+\r\n)/m, '\\1') if text.match?(/^transfer-encoding: chunked/i)
    Response.new(text[/\A\S+ (\d+)/, 1].to_i, begin
      JSON.parse(rest[/\{.*\}/m] || rest)
    rescue StandardError
      rest
    end, text)
  ensure
    socket&.close
  end

  private

  def token = @token ||= get('/api/session').body['csrf']

  # As the front end does, takes a fresh token when the session has become another.
  def request(request, body = nil, token: nil, origin: nil, type: 'application/json')
    given = token
    token ||= self.token unless request.is_a?(Net::HTTP::Get)
    request['Cookie'] = @cookie if @cookie
    request['X-CSRF-Token'] = token.to_s
    request['Origin'] = origin if origin
    request.content_type = type
    request.body = body.is_a?(String) ? body : JSON.generate(body) if body
    response = shaped(request, read(Net::HTTP.start('127.0.0.1', @server.port, read_timeout: Patience::SECONDS) { |http| http.request(request) }))
    return response if given || token.nil? || response.code != 'stale_page'

    @token = nil
    request(request, body, token: self.token, origin: origin, type: type)
  end

  def read(response)
    fresh = response['set-cookie']&.split(';')&.first
    @cookie = fresh if fresh
    facts = begin
      JSON.parse(response.body.to_s)
    rescue JSON::ParserError
      response.body
    end
    Response.new(response.code.to_i, facts, response)
  end

  # Measures borrow this client, and hold nothing against shapes.
  def shaped(request, response)
    return response unless defined?(Shaped)

    fine = response.status.between?(200, 299) && response.headers['content-type'].to_s.start_with?('application/json')
    Shaped.answer(request.method, request.path, response.body) if fine && request.path.start_with?('/api/')
    response
  end
end
