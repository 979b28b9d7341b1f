@extends('plain')
@section('title', 'Mailbox')
@section('content')
@if ($letters === null)
  <p>The letters on this machine open gardens, so they are shown only to whoever runs it. Open the address that <code>bin/start</code> printed
    for the mailbox, or type the word at its end.</p>
  <form method="get" action="/mailbox">
    <label>Word of the mailbox <input name="word" type="password" autocomplete="off" required></label>
    <button type="submit">Show the letters</button>
  </form>
@else
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
@endif
@endsection
