@extends('plain')
@section('title', 'Something went wrong here')
@section('content')
  <p>It has been noted. Try again in a moment; nothing you saved is lost.</p>
@endsection
