@extends('plain')
@section('title', 'Mailbox')
@section('content')
  <p class="quiet">This machine has no post. What Jolly Penny would have sent stands here.</p>
  @forelse ($letters as $letter)
    <article>
      <h2>{{ $letter['subject'] }}</h2>
      <p class="quiet">to {{ $letter['to'] }}, {{ $letter['at'] }}</p>
      <pre>{!! preg_replace('~https?://[^\s&]+(?:&amp;[^\s&]+)*~', '<a href="$0">$0</a>', e($letter['text'])) !!}</pre>
    </article>
  @empty
    <p>No letter yet.</p>
  @endforelse
@endsection
