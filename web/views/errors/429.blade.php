@extends('plain')
@section('title', 'Too many at once')
@section('content')
  <p>{{ $exception->getMessage() ?: 'Wait a minute and open the page again.' }}</p>
@endsection
