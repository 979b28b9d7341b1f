@extends('plain')
@section('title', 'There is no such page')
@section('content')
  <p>Go back to <a href="/">your garden</a>.</p>
@endsection
