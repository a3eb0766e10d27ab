# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Store::Links do
  let(:links) { ARCHIVE.links }
  let(:lesson) { fresh_lesson[:lesson] }

  it 'opens with its token, of which the database holds only a hash' do
    made = links.make('class', lesson_id: lesson)
    expect(made[:token].length).to be >= 43
    expect(links.open(made[:token], ['class'])[:lesson_id]).to eq(lesson)
    expect(ARCHIVE.db[:links].first(id: made[:id]).values.join).not_to include(made[:token])
  end

  it 'opens nothing when wrong, of another kind, taken back or expired' do
    made = links.make('class', lesson_id: lesson)
    expect { links.open("#{made[:token]}x", ['class']) }.to refusing(:link_unknown)
    expect { links.open(nil, ['class']) }.to refusing(:link_unknown)
    expect { links.open(made[:token], ['recording']) }.to refusing(:link_unknown)
    links.revoke(made[:id])
    expect { links.open(made[:token], ['class']) }.to refusing(:link_revoked)
    old = links.make('class', lesson_id: lesson, expires_at: Time.now - 1)
    expect { links.open(old[:token], ['class']) }.to refusing(:link_expired)
  end
end
